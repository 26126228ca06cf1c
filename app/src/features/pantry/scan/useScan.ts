import { codeInScan } from '@hoddle/core/formats/labels/codeInScan';
import { type RefObject, useEffect, useRef } from 'react';
import { codeReader } from './codeReader';
import { nextJars, NOTHING_SEEN } from './nextJar';

/** Tells each jar that is held to the camera once: its code, or what else was read. */
export function useScan(
  video: RefObject<HTMLVideoElement | null>,
  isOn: boolean,
  onJar: (read: { code: string } | { other: string }) => void,
): void {
  const tell = useRef(onJar);
  useEffect(() => {
    tell.current = onJar;
  });
  useEffect(() => {
    if (!isOn) return;
    let isWanted = true;
    let sight = NOTHING_SEEN;
    const look = async () => {
      const reader = await codeReader();
      while (isWanted) {
        const picture = video.current;
        const read =
          picture && picture.readyState >= HTMLMediaElement.HAVE_CURRENT_DATA ? await reader.read(picture) : [];
        if (!isWanted) break;
        const { jars, now } = nextJars(sight, read, performance.now());
        sight = now;
        for (const words of jars) {
          const code = codeInScan(words);
          tell.current(code === undefined ? { other: words } : { code });
        }
        await new Promise((drawn) => requestAnimationFrame(drawn));
      }
      reader.end();
    };
    void look();
    return () => {
      isWanted = false;
    };
  }, [video, isOn]);
}
