import { expect, type Page } from '@playwright/test';
import { handRests } from './handRests';

/** What a cook does on the screens, in the words of the screens. */
export function kitchenHands(page: Page, address: string) {
  const key = (name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
  return {
    key,
    /** Presses a key as a hand does: not in the same half second as the one before. */
    async press(name: string | RegExp) {
      await handRests(page);
      await key(name).click();
    },
    goto: (path: string) => page.goto(address + path),
    /** Types a figure with the keys on the screen. */
    async type(figure: string) {
      for (const sign of figure) await key(sign).click();
    },
    /** Moves the demo clock on. */
    async pass(words: '+5 min' | '+20 min' | '+1 h' | 'Tomorrow 9 am') {
      const shown = () => page.getByRole('button', { name: /Demo clock/ }).innerText();
      // On a slow machine a minute may turn by itself meanwhile: what is waited for is the household's own clock.
      const offset = async () => (await (await page.request.get(`${address}/api/state`)).json()).demoOffsetMs as number;
      const [before, from] = [await shown(), await offset()];
      await page.getByRole('button', { name: /Demo clock/ }).click();
      await key(words).click();
      await expect.poll(offset).not.toBe(from);
      await expect.poll(shown).not.toBe(before);
    },
    async setUpKitchen(altitude: string) {
      await page.goto(`${address}/bench/household`);
      await page.getByRole('textbox', { name: 'Altitude of the kitchen' }).fill(altitude);
      await page.getByRole('textbox', { name: 'Its name' }).fill('Big pot');
      await this.press('Save');
      await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible();
    },
    /** A crop that is not among the usual ones, found by the first letters of its name. */
    async findCrop(letters: string, crop: RegExp) {
      await page.goto(`${address}/harvest/pick`);
      await this.press(/^All \d+ crops/);
      await page.getByRole('textbox', { name: 'Find a crop' }).fill(letters);
      await page.getByRole('radio', { name: crop }).first().click();
    },
    async pick(crop: string, pounds: string, soft?: string) {
      await page.goto(`${address}/harvest/pick`);
      await page.getByRole('radio', { name: crop }).click();
      await this.type(pounds);
      if (soft) {
        await page.getByRole('textbox', { name: 'of it soft' }).click();
        await this.type(soft);
      }
      await this.press('Picked');
    },
    /** On the screen of a load: every jar looked at, and into the canner. */
    async loadIn(words: string | RegExp) {
      await this.press('All of these are done');
      await this.press(words);
    },
    /** Starts the clock of a load; asked whether it can boil already, says yes. */
    async boils(words: string | RegExp) {
      await this.press(words);
      const sure = key('It boils fully');
      await sure.or(page.getByRole('timer')).first().waitFor();
      if (await sure.isVisible()) await this.press('It boils fully');
    },
    /** Minutes and seconds on the pot, in seconds. */
    async secondsLeft(): Promise<number> {
      const [minutes = NaN, seconds = NaN] = (await page.getByRole('timer').innerText()).split(':').map(Number);
      return 60 * minutes + seconds;
    },
  };
}
