import { expect, type Page } from '@playwright/test';

/** Collects what a user never sees but should never happen: console errors, failed requests, sideways scroll. */
export function watchPage(page: Page) {
  const troubles: string[] = [];
  page.on('console', (message) => message.type() === 'error' && troubles.push(`console: ${message.text()}`));
  page.on('pageerror', (error) => troubles.push(`page: ${error.message}`));
  // A page that is left cancels what it was asking for; that is no failure.
  page.on(
    'requestfailed',
    (request) => request.failure()?.errorText !== 'net::ERR_ABORTED' && troubles.push(`request: ${request.url()}`),
  );
  page.on(
    'response',
    (response) => response.status() >= 400 && troubles.push(`${response.status()}: ${response.url()}`),
  );
  return {
    /** No part of the page is wider than the window. */
    async fits() {
      const over = await page.evaluate(() => {
        const wide = [...document.querySelectorAll('*')].filter((element) => {
          const style = getComputedStyle(element);
          return (
            style.overflowX !== 'hidden' &&
            element.scrollWidth > element.clientWidth + 1 &&
            element.clientWidth > 300 &&
            style.overflowX !== 'visible' &&
            !element.closest('[data-testid="sideways"]')
          );
        });
        return {
          document: document.documentElement.scrollWidth - innerWidth,
          wide: wide.map((element) => element.className),
        };
      });
      expect(over).toEqual({ document: 0, wide: [] });
    },
    calm: () => expect(troubles).toEqual([]),
  };
}
