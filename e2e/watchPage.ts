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
    /** Every word stands out from what it stands on, WCAG 2.1, 1.4.3: what lies on a pattern the usual checkers leave undecided. */
    async reads() {
      const faint = await page.evaluate(() => {
        const parts = (colour: string) => (colour.match(/[\d.]+/g) ?? []).map(Number);
        const light = (colour: string) =>
          parts(colour)
            .slice(0, 3)
            .map((part) => part / 255)
            .map((part) => (part <= 0.03928 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4))
            .reduce((sum, part, k) => sum + part * ([0.2126, 0.7152, 0.0722][k] ?? 0), 0);
        const ground = (element: Element | null): string => {
          if (!element) return 'rgb(255, 255, 255)';
          const { backgroundColor } = getComputedStyle(element);
          return (parts(backgroundColor)[3] ?? 1) > 0 ? backgroundColor : ground(element.parentElement);
        };
        return [...document.querySelectorAll('[role=main] *:not(svg *)')]
          .filter((element) =>
            [...element.childNodes].some(({ nodeType, textContent }) => nodeType === 3 && textContent),
          )
          .filter((element) => !element.closest('[aria-disabled=true], :disabled'))
          .flatMap((element) => {
            const [a, b] = [light(getComputedStyle(element).color), light(ground(element))];
            const contrast = (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
            return contrast < 4.5 ? [`${element.textContent?.slice(0, 60)}: ${contrast.toFixed(1)}`] : [];
          });
      });
      expect(faint).toEqual([]);
    },
    calm: () => expect(troubles).toEqual([]),
  };
}
