import { type Page } from '@playwright/test';

/** Waits until the page has had nothing to do for a while: three idle moments of a whole frame and more, one after the other. */
export function idle(page: Page): Promise<void> {
  return page.evaluate(async () => {
    for (let calm = 0; calm < 3;) {
      const left = await new Promise<number>((told) => requestIdleCallback((moment) => told(moment.timeRemaining())));
      calm = left > 30 ? calm + 1 : 0;
    }
  });
}
