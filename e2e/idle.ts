import { type Page } from '@playwright/test';

/** So many frames in a row, each with half of its time to spare, are a page at rest. */
const FRAMES = 12;
const SPARE_MS = 8;

/** Waits until the page has had nothing to do for some frames, one after the other. */
export function idle(page: Page): Promise<void> {
  return page.evaluate(
    async ({ frames, spareMs }) => {
      for (let calm = 0; calm < frames;) {
        await new Promise(requestAnimationFrame);
        const left = await new Promise<number>((told) => requestIdleCallback((moment) => told(moment.timeRemaining())));
        calm = left >= spareMs ? calm + 1 : 0;
      }
    },
    { frames: FRAMES, spareMs: SPARE_MS },
  );
}
