import { resolve } from 'node:path';
import { type Page, test } from '@playwright/test';
import { idle } from '../idle';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { SimulatedDevices } from '../simulatedDevices';

const FOLDER = resolve(import.meta.dirname, '../../docs/screenshots');

/** The main views, from the demo household, in the order of the work. Taken by `npm run shots`. */
test('pictures of the main views', async ({ page }) => {
  // A slow machine takes its time over each.
  test.setTimeout(900_000);
  const server = await RealServer.start({ demo: true });
  const hands = kitchenHands(page, server.address);

  await hands.goto('/');
  await shoot(page, 'today');
  await hands.goto('/harvest');
  await shoot(page, 'harvest');
  await hands.goto('/harvest/pick');
  await hands.type('68');
  await page.getByRole('textbox', { name: 'of it soft' }).click();
  await hands.type('12');
  await shoot(page, 'pick');
  await hands.goto('/harvest/makes?crop=tomato-paste');
  await shoot(page, 'jars-from');
  await hands.goto('/plan/season');
  await page.getByRole('heading', { name: 'Days to come' }).waitFor({ timeout: 60_000 });
  await shoot(page, 'season');
  await wide(page, 'season-wide');
  await hands.goto('/plan/spring');
  await page.getByRole('list', { name: 'What to set' }).waitFor({ timeout: 60_000 });
  await shoot(page, 'spring');
  await hands.goto('/plan/make?crop=damson&product=jam-with-pectin&jar=half-pint');
  await page.getByRole('heading', { name: 'What goes in' }).scrollIntoViewIfNeeded();
  await page.getByText(/^What goes in/).evaluate((heading) => heading.scrollIntoView());
  await shoot(page, 'recipe');
  await hands.goto('/plan/make?crop=tomato-paste&product=tomatoes-crushed&jar=half-gallon');
  await hands.press(/Quarts/);
  await hands.press('Plan 21 quarts');
  await page.getByText('likely done').waitFor();
  await hands.goto('/plan/life');
  await hands.press('Something else to do');
  await hands.press('Put it into the day');
  await page.getByText(/In this plan at/).waitFor();
  await hands.goto('/plan');
  await page.getByRole('link', { name: /^Load 3, 7 quarts/ }).click();
  await hands.press('Keep it there');
  await hands.goto('/plan');
  await page.getByRole('slider', { name: /^Load 3, kept at/ }).waitFor();
  await page.getByRole('slider', { name: /^Town/ }).evaluate((errand) => errand.scrollIntoView({ block: 'center' }));
  await shoot(page, 'day');
  await page.getByRole('link', { name: /^Load 1, 7 quarts/ }).click();
  await shoot(page, 'load');
  await hands.loadIn('7 quarts are in, heat it');
  await hands.pass('+20 min');
  // Its water has been on for 22 minutes, and boils for one and a half.
  const devices = await SimulatedDevices.start(server, ['--since', '22.5']);
  await hands.goto('/bench/instruments');
  await hands.press('Where is Probe, blue cable?');
  await page.getByRole('radio', { name: 'in Big enamel' }).click();
  await hands.goto('/kitchen');
  await page.getByRole('link', { name: /^More of Big enamel/ }).click();
  await page.getByText('It boils, by the probe. Look into the pot, then tap.').waitFor({ timeout: 90_000 });
  await hands.press('It boils: start 55 min');
  await hands.pass('+20 min');
  await shoot(page, 'kitchen');
  await wide(page, 'kitchen-wide');
  await hands.pass('+1 h');
  await hands.press('Heat off, lid off: wait 5 min');
  await hands.pass('+5 min');
  await hands.press('Jars are out');
  devices.stop();
  await page.getByRole('link', { name: 'What the probe read' }).click();
  await page.getByRole('img', { name: /^The curve of this load/ }).waitFor();
  await shoot(page, 'curve');
  await hands.goto('/plan/rehearse');
  await page.getByRole('list', { name: 'Lessons' }).waitFor();
  await shoot(page, 'rehearse');
  await hands.goto('/');
  await hands.pass('Tomorrow 9 am');
  await page.getByText('7 quarts crushed tomatoes').first().waitFor();
  await page.getByRole('button', { name: 'Check seals' }).last().click();
  await page.getByRole('button', { name: 'Jar 1: press' }).click();
  await page.getByRole('button', { name: 'Jar 2: press' }).click();
  await page.getByRole('button', { name: 'Jar 3: press' }).click();
  await page.getByRole('button', { name: 'Jar 3: sealed' }).click();
  await shoot(page, 'seals');
  await hands.press('The other 4 are sealed');
  await hands.press('Put the 6 sealed on the shelf');
  await page
    .getByText(/^enough until/)
    .first()
    .waitFor();
  await shoot(page, 'shelf');
  await hands.goto('/shelf/labels');
  await page.getByRole('radio', { name: /^Round for lids, 2 in/ }).click();
  await page
    .getByRole('img', { name: /^Label: / })
    .first()
    .waitFor();
  await page.getByText('As large as on paper').evaluate((heading) => heading.scrollIntoView());
  await shoot(page, 'labels');
  await hands.goto('/bench');
  await shoot(page, 'bench');
  await hands.goto('/bench/recipes/new');
  await page.getByLabel('The recipe as it stands in the book').fill(PASTED);
  await hands.key('Read it').click();
  await page.getByText('Keep half done').waitFor();
  await shoot(page, 'own-recipe');
  await server.stop();
});

/** A page as somebody pastes it: most lines say all there is to know, two do not. Invented. */
const PASTED = `Zucchini pickle
16 c. sliced zucchini
4 cups onions, sliced thin
1/2 c salt, for soaking
4 c vinegar
2 c sugar
1 stick cinnamon, tied in a bag
some dill
1 clove garlic in each jar
Slice zucchini and onions.
Cover with salt and ice and let stand for 3 hours.
Drain well.
Combine vinegar, sugar and cinnamon and boil 10 minutes.
Fill into pint jars.
Makes 6 pints`;

async function shoot(page: Page, name: string) {
  // The screen's own file, its fonts, and drawings that measure themselves.
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.evaluate(() => document.fonts.ready);
  await idle(page);
  await page.screenshot({ path: `${FOLDER}/${name}.png` });
}

async function wide(page: Page, name: string) {
  await page.setViewportSize({ width: 1280, height: 800 });
  await shoot(page, name);
  await page.setViewportSize({ width: 390, height: 844 });
}
