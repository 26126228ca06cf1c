import { type Page } from '@playwright/test';

/** So many frames in a row, each with half of its time to spare, are a page at rest. */
const FRAMES = 12;
const SPARE_MS = 8;
const MOST_FRAMES = 900;

/** Waits until the page has had nothing to do for some frames, one after the other, a quarter of a minute at most. */
export function idle(page: Page): Promise<void> {
  return page.evaluate(
    async ({ frames, most, spareMs }) => {
      // One that never rests is gone on with: what is measured then says so.
      for (let calm = 0, frame = 0; calm < frames && frame < most; frame++) {
        await new Promise(requestAnimationFrame);
        const left = await new Promise<number>((told) => requestIdleCallback((moment) => told(moment.timeRemaining())));
        calm = left >= spareMs ? calm + 1 : 0;
      }
    },
    { frames: FRAMES, most: MOST_FRAMES, spareMs: SPARE_MS },
  );
}
