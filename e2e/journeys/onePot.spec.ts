import { expect, type Page, test } from '@playwright/test';
import { atEight, giveDemoClock, laterBy } from '../demoClock';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { throughSteps } from '../throughSteps';
import { watchPage } from '../watchPage';

let server: RealServer;
test.beforeEach(async () => {
  server = await RealServer.start();
  await giveDemoClock(server);
  await atEight(server);
});
test.afterEach(() => server.stop());

interface State {
  readonly now: number;
  readonly batches: readonly {
    id: string;
    product: string;
    processMinutes: number;
    cannerId: string;
    gives?: readonly string[];
    from?: { batchId: string; kind: string };
    uses: readonly object[];
    loads: readonly { jars: number }[];
  }[];
  readonly picks: readonly { massKg: number; of?: { kind: string; batchId: string } | null }[];
  readonly batchRecords: readonly { juiceMl: number | null; cookedOffMl: number | null; trimmingsKg: number | null }[];
  readonly dayEvents: readonly { type: string; volumeMl?: number; loads?: readonly { jars: number }[] }[];
}
const state = async () => (await server.call('GET', '/state')).body as State;

async function twoPots(page: Page) {
  const hands = kitchenHands(page, server.address);
  await hands.setUpKitchen('800');
  await hands.goto('/bench/canners');
  await hands.press('Add a canner');
  await page.getByRole('textbox', { name: 'Its name' }).fill('Second pot');
  await page.getByRole('radio', { name: /21-quart enamel/ }).click();
  await hands.press('Write it down');
  return hands;
}

// USDA Complete Guide to Home Canning, 2015, guide 3, to 1,000 ft: tomato sauce in pints 35 min, tomato juice in quarts 40 min.
test('45 lb of slicing tomatoes in one pot: sauce in pints, and the juice ladled off it in quarts', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = await twoPots(page);
  await hands.pick('Slicing tomatoes', '45');

  await test.step('both are planned by one key, each with its own minutes, acid and canner', async () => {
    await hands.goto('/plan/make?crop=tomato-slicing&product=tomato-sauce-thick&jar=pint');
    await page.getByRole('textbox', { name: 'Jars to fill' }).fill('12');
    await page.getByRole('checkbox', { name: /^Ladle off the thin juice/ }).click();
    await page.getByRole('textbox', { name: 'Jars of tomato juice' }).fill('4');
    await expect(page.getByText('4 quarts in Second pot, beside the other jars.')).toBeVisible();
    await watch.fits();
    await hands.press('Plan 12 pints and 4 quarts tomato juice');
    await expect(page.getByRole('heading', { name: 'Loads', exact: true })).toBeVisible();
    await expect.poll(async () => (await state()).batches.length).toBe(2);
    const { batches } = await state();
    const [sauce, juice] = ['tomato-sauce-thick', 'tomato-juice'].map((name) =>
      batches.find(({ product }) => product === name),
    );
    expect(sauce).toMatchObject({ processMinutes: 35, gives: ['thin-juice'] });
    expect(juice).toMatchObject({ processMinutes: 40, from: { batchId: sauce?.id, kind: 'thin-juice' }, uses: [] });
    expect(juice?.cannerId).not.toBe(sauce?.cannerId);
    await watch.fits();
  });

  await test.step('it is ladled off at its step, measured there, and the jars follow', async () => {
    await hands.goto('/kitchen');
    await hands.press('Start the day');
    await throughSteps(page, server, hands.key('Measure'), 40);
    await expect(page.getByText(/^Ladle off the thin juice, thick tomato sauce$/)).toBeVisible();
    await hands.press('Measure');
    await page.getByRole('group', { name: 'Measured thin juice' }).getByRole('textbox').fill('5 1/2');
    await expect(page.getByText('Gives 5 quarts tomato juice; 4 were planned.')).toBeVisible();
    await expect(page.getByText(/50 % of a quart more is for today/)).toBeVisible();
    await watch.fits();
    await hands.press('See what it changes');
    await hands.press('Do it so');
    await expect
      .poll(async () => (await state()).dayEvents.filter(({ type }) => type === 'output-measured'))
      .toEqual([expect.objectContaining({ volumeMl: expect.closeTo(5.5 * 946.353, 0) })]);
    const changed = async () => (await state()).dayEvents.find(({ type }) => type === 'loads-changed');
    await expect.poll(async () => (await changed())?.loads?.map(({ jars }) => jars)).toEqual([5]);
    await page.reload();
    // Nobody cuts or mills the juice: it goes on where its card does.
    await throughSteps(page, server, page.getByText(/^Acid into each jar, tomato juice$/), 40);
  });

  await test.step('what falls off goes to the animals by one tap, and is no harvest', async () => {
    await hands.goto('/kitchen/change');
    await hands.press('Something is left over: thick tomato sauce');
    await hands.press('To the animals');
    await expect(page.getByText(/^How much is it\?/)).toBeVisible();
    await page.getByRole('textbox', { name: 'How much is left' }).fill('3 lb');
    await hands.press('To the animals');
    await expect.poll(async () => (await state()).picks.filter(({ of }) => of).length).toBe(1);
    await hands.goto('/harvest');
    await expect(page.getByText(/3 lb .* of slicing tomatoes fed to animals/)).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Left over, kept for something' })).toHaveCount(0);
  });

  await test.step('one record tells all of it, as it was measured; the rest is not measured', async () => {
    const sauce = (await state()).batches.find(({ product }) => product === 'tomato-sauce-thick');
    await hands.goto(`/harvest/batch?batch=${sauce?.id}`);
    await expect(page.getByRole('textbox', { name: 'Thin juice' })).toHaveValue('5.5');
    await expect(page.getByRole('textbox', { name: 'Peels, cores and pulp' })).toHaveValue('3');
    await expect(page.getByRole('textbox', { name: 'Cooked off' })).toHaveValue('');
    await watch.fits();
    await hands.press('Write it down');
    await expect(
      page.getByText(/5 1\/2 quarts of thin juice, 3 lb of peels, cores and pulp, .*cooked off not measured/),
    ).toBeVisible();
    const [record] = (await state()).batchRecords;
    expect(record).toMatchObject({ juiceMl: expect.closeTo(5.5 * 946.353, 0), cookedOffMl: null });
  });
  await laterBy(server, 1);
  watch.calm();
});

test('peels and cores of sliced apples are weighed, burn down on a fuse, and become jelly of their own', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = await twoPots(page);
  await server.call('POST', '/picks', {
    ...{ id: '0198f3a0-0000-7000-8000-000000001001', crop: 'apple', massKg: 13.6, softKg: 0, ripeness: 'ripe' },
    ...{ place: 'cool', pickedAt: (await state()).now - 60_000, told: '30 lb', source: 'garden', plantingId: null },
  });
  await hands.goto('/plan/make?crop=apple&product=apples-sliced&jar=quart');
  await hands.press(/^Plan \d+ quarts/);
  await expect(page.getByRole('heading', { name: 'Loads', exact: true })).toBeVisible();
  await expect.poll(async () => (await state()).batches.length).toBe(1);
  const [sliced] = (await state()).batches;
  await hands.goto(`/harvest/left?batch=${sliced?.id}`);
  await expect(page.getByRole('radio', { name: 'peels and cores' })).toBeChecked();
  await page.getByRole('textbox', { name: 'How much is left' }).fill('2 cups');
  await hands.press('In the refrigerator: 3 days');
  await expect(page.getByRole('alert')).toContainText('put them on the scale');
  await page.getByRole('textbox', { name: 'How much is left' }).fill('7');
  await watch.fits();
  await hands.press('In the refrigerator: 3 days');
  await expect.poll(async () => (await state()).picks.length).toBe(2);
  await hands.goto('/');
  await page.getByRole('link', { name: /^7 lb peels and cores of apples, refrigerator/ }).click();
  await watch.fits();
  await hands.press('Make jelly without added pectin');
  await expect(page.getByText(/^From 7 lb/)).toBeVisible();
  await hands.press(/^Plan \d+ half-pints/);
  await expect.poll(async () => (await state()).batches.length).toBe(2);
  // They are in the jelly now, and never were apples to be made into anything else.
  await hands.goto('/harvest');
  await expect(page.getByText(/peels and cores of apples/).first()).toBeVisible();
  const { picks } = await state();
  const left = picks.find(({ of }) => of);
  expect(left?.of).toMatchObject({ kind: 'peels-and-cores', batchId: sliced?.id });
  watch.calm();
});
