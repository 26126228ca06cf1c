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
    /** No part of the page reaches beyond the window, but for what is meant to be pushed sideways. */
    async fits() {
      const beyond = await page.evaluate(() => {
        const pushed = (element: Element | null): boolean =>
          element !== null &&
          (['auto', 'scroll'].includes(getComputedStyle(element).overflowX) || pushed(element.parentElement));
        const wide = [...document.querySelectorAll('body *:not(svg *)')].filter((element) => {
          const { width, right } = element.getBoundingClientRect();
          return width > 0 && right > innerWidth + 1 && !pushed(element.parentElement);
        });
        return [
          ...(document.documentElement.scrollWidth > innerWidth ? ['the document'] : []),
          ...wide.map((element) => element.textContent?.slice(0, 60) || element.outerHTML.slice(0, 80)),
        ];
      });
      expect(beyond).toEqual([]);
    },
    calm: () => expect(troubles).toEqual([]),
  };
}
