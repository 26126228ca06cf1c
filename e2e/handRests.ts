import { type Page } from '@playwright/test';

/** A tap sooner after the one before is a wet finger's bounce: the app lets it go by. */
const BOUNCE_MS = 550;

/**
 * Waits until a hand may tap again, which is at once where it has not tapped just now. A page that was not asked before may have
 * been tapped before it was asked: it rests once.
 */
export async function handRests(page: Page): Promise<void> {
  await page.waitForFunction((bounceMs) => {
    const hand = window as Window & { tappedAt?: number };
    if (hand.tappedAt === undefined) {
      hand.tappedAt = performance.now();
      window.addEventListener('click', () => (hand.tappedAt = performance.now()), true);
    }
    return performance.now() - hand.tappedAt > bounceMs;
  }, BOUNCE_MS);
}
