import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';

/** A frame of the camera: 4 bytes a pixel. */
export interface Frame {
  readonly width: number;
  readonly height: number;
  readonly pixels: ArrayBuffer;
}

/** What stands in the codes of a frame; empty where none was found. */
export type FrameAnswer = readonly string[];

prepareZXingModule({ overrides: { locateFile: () => '/scan/zxing_reader.wasm' }, fireImmediately: true }).catch(
  () => undefined,
);

self.onmessage = async ({ data }: MessageEvent<Frame>) => {
  let answer: FrameAnswer = [];
  try {
    const image = new ImageData(new Uint8ClampedArray(data.pixels), data.width, data.height);
    const found = await readBarcodes(image, { formats: ['QRCode'], maxNumberOfSymbols: 4 });
    answer = found.map(({ text }) => text);
  } catch {
    // A frame that cannot be read is followed by the next.
  }
  self.postMessage(answer);
};
