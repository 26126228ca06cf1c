import { closeSync, mkdtempSync, openSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import QRCode from 'qrcode';

const WIDTH = 640;
const HEIGHT = 480;
const FRAMES_A_SECOND = 10;
const QUIET = 4;

/** For how many frames one is held to the camera, and how many follow without one. */
export interface HeldJar {
  readonly words: string;
  readonly held: number;
  readonly away: number;
}

/**
 * A video for Chromium's fake camera, which it plays round and round: drawn jars with labels, each held a little askew, a hand's
 * noise over all of it. YUV4MPEG2, in grey. https://wiki.multimedia.cx/index.php/YUV4MPEG2
 */
export function jarVideo(jars: readonly HeldJar[]): string {
  const file = join(mkdtempSync(join(tmpdir(), 'hoddle-camera-')), 'jars.y4m');
  const out = openSync(file, 'w');
  writeSync(out, `YUV4MPEG2 W${WIDTH} H${HEIGHT} F${FRAMES_A_SECOND}:1 Ip A1:1 C420jpeg\n`);
  const chroma = Buffer.alloc((WIDTH * HEIGHT) / 2, 128);
  let seed = 1;
  const noise = () => {
    seed = (Math.imul(seed, 1_103_515_245) + 12_345) >>> 0;
    return ((seed >>> 16) & 15) - 8;
  };
  const frame = (words: string | undefined, turn: number) => {
    const luma = Buffer.alloc(WIDTH * HEIGHT);
    const code = words === undefined ? undefined : QRCode.create(words, { errorCorrectionLevel: 'H' }).modules;
    const side = code ? code.size + 2 * QUIET : 1;
    const labelPx = 190;
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    for (let y = 0; y < HEIGHT; y += 1) {
      for (let x = 0; x < WIDTH; x += 1) {
        const [dx, dy] = [x - WIDTH / 2, y - HEIGHT / 2];
        const [u, w] = [(cos * dx + sin * dy) / labelPx + 0.5, (cos * dy - sin * dx) / labelPx + 0.5];
        let grey = 96;
        // The jar behind its label: a plain dark body.
        if (code && Math.abs(cos * dx + sin * dy) < 150 && Math.abs(cos * dy - sin * dx) < 220) grey = 60;
        if (code && u >= 0 && u < 1 && w >= 0 && w < 1) {
          const [column, row] = [Math.floor(u * side) - QUIET, Math.floor(w * side) - QUIET];
          const within = column >= 0 && row >= 0 && column < code.size && row < code.size;
          grey = within && code.get(row, column) ? 30 : 225;
        }
        luma[y * WIDTH + x] = Math.max(0, Math.min(255, grey + noise()));
      }
    }
    writeSync(out, 'FRAME\n');
    writeSync(out, luma);
    writeSync(out, chroma);
  };
  for (const { words, held, away } of jars) {
    for (let i = 0; i < held; i += 1) frame(words, 0.12 + 0.01 * i);
    for (let i = 0; i < away; i += 1) frame(undefined, 0);
  }
  closeSync(out);
  return file;
}
