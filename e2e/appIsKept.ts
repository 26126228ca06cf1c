import { type Page } from '@playwright/test';

/** Waits until the app itself lies in the browser: from then on every screen opens without signal. */
export async function appIsKept(page: Page): Promise<void> {
  await page.waitForFunction(async () => {
    await navigator.serviceWorker.ready;
    return navigator.serviceWorker.controller !== null;
  });
}
