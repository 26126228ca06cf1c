import { expect, type Page, test } from '@playwright/test';
import { atEight, giveDemoClock, laterBy } from '../demoClock';
import { givePick } from '../givePick';
import { kitchenHands } from '../kitchenHands';
import { loadRuns } from '../loadRuns';
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
    loads: readonly { id: string; jars: number; size?: { jar: string; processMinutes: number } }[];
  }[];
  readonly lots: readonly { jar: string; seal: string }[];
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
  await givePick(server, 'apple', 30);
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

// Job 14. The same guide, whole or halved tomatoes packed in water, to 1,000 ft: pints 40 and quarts 45 min; a quart takes
// 2 Tbsp of bottled lemon juice, a pint 1.
test('whole tomatoes, 6 quarts and 4 pints of one lot: one batch, two loads, a dose by the jar, one record', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = await twoPots(page);
  await hands.pick('Slicing tomatoes', '28');

  await test.step('planned by one key, each size with its own minutes', async () => {
    await hands.goto('/plan/make?crop=tomato-slicing&product=tomatoes-whole-in-water&jar=quart');
    await page.getByRole('textbox', { name: 'Jars to fill' }).fill('6');
    await hands.press('Some in another size');
    await page.getByRole('textbox', { name: 'Besides, pints to fill' }).fill('4');
    await expect(page.getByText('A load of their own: 4, 40 min.')).toBeVisible();
    await expect(page.getByText('4 pints: 1/4 cup', { exact: false })).toBeVisible();
    await watch.fits();
    await hands.press('Plan 6 quarts and 4 pints');
    await expect(page.getByRole('heading', { name: 'Loads', exact: true })).toBeVisible();
    await expect(page.getByText(/: 6 quarts whole tomatoes in water/)).toBeVisible();
    await expect(page.getByText(/: 4 pints whole tomatoes in water/)).toBeVisible();
    await expect.poll(async () => (await state()).batches.length).toBe(1);
    const [batch] = (await state()).batches;
    expect(batch?.processMinutes).toBe(45);
    expect(batch?.loads.map(({ jars, size }) => [jars, size?.jar, size?.processMinutes])).toEqual([
      [6, undefined, undefined],
      [4, 'pint', 40],
    ]);
    await watch.fits();
  });

  await test.step('half a dose is caught, by the jar that stands there', async () => {
    await hands.goto('/kitchen');
    await hands.press('Start the day');
    for (const [jar, spoons] of [
      ['quart', 2],
      ['pint', 1],
    ] as const) {
      const pad = page.getByRole('group', { name: `In every ${jar}` });
      await throughSteps(page, server, pad, 40);
      await pad.getByRole('textbox').fill('1/2');
      await expect(
        page.getByRole('alert').filter({ hasText: `Too little: a ${jar} needs ${spoons} Tbsp` }),
      ).toBeVisible();
      await pad.getByRole('textbox').fill(String(spoons));
      await hands.press(`Every ${jar} has ${spoons} Tbsp`);
      await expect(pad).toHaveCount(0);
    }
  });

  await test.step('sealed and shelved by size, written down together', async () => {
    const [batch] = (await state()).batches;
    for (const load of batch?.loads ?? []) await loadRuns(server, load.id, load.jars, 45);
    await hands.goto(`/shelf/seals/${batch?.id}`);
    await expect(page.getByText(/^6 quarts and 4 pints whole tomatoes in water, /)).toBeVisible();
    await expect(page.getByText(/^Load 1: 6 quarts, cooled/)).toBeVisible();
    await expect(page.getByText(/^Load 2: 4 pints, cooled/)).toBeVisible();
    await watch.fits();
    await hands.press('The other 10 are sealed');
    await hands.press('Put the 10 sealed on the shelf');
    await expect.poll(async () => (await state()).lots.map(({ jar }) => jar).sort()).toEqual(['pint', 'quart']);
    await hands.goto(`/harvest/batch?batch=${batch?.id}`);
    await expect(page.getByRole('textbox', { name: 'Full jars', exact: true })).toHaveValue('6');
    await expect(page.getByRole('textbox', { name: 'Full jars of another size' })).toHaveValue('4');
    // What is said to be kept is asked for its place, and then burns down on a fuse.
    await page.getByRole('textbox', { name: 'Peels, cores and pulp' }).fill('3');
    await page.getByRole('radio', { name: 'kept' }).click();
    await hands.press('Write it down');
    await expect(page.getByRole('textbox', { name: 'How much is left' })).toHaveValue('1.36 kg');
    await hands.press('In the refrigerator: 3 days');
    await expect.poll(async () => (await state()).picks.filter(({ of }) => of).length).toBe(1);
    await hands.goto('/harvest/learned?product=tomatoes-whole-in-water&crop=tomato-slicing');
    await expect(page.getByText(/: 6 quarts and 4 pints$/).first()).toBeVisible();
  });
  watch.calm();
});

// Job 7, its pears: 70 lb of which 20 are soft, to halves, sauce and jam.
test('70 lb of pears are divided among three products: soft ones to sauce and jam, nothing twice, and all of it is planned', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = await twoPots(page);
  await givePick(server, 'pear', 70, 20);
  await hands.goto('/harvest/makes?crop=pear');
  await page.getByRole('link', { name: 'Divide it among several of these' }).click();
  await expect(page.getByText(/^70 lb left over, 20 lb of it soft$/)).toBeVisible();
  await hands.press('Pears in syrup');
  await page.getByRole('textbox', { name: 'Pounds of part 1' }).fill('40');
  await page.getByRole('textbox', { name: 'Pounds of part 1' }).blur();
  await hands.press('Fruit purée');
  // What no yield is published for is told, and not made up.
  const puree = page.getByRole('group', { name: 'Part 2, Fruit purée' });
  await expect(puree.getByText(/no yield is published for it/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Jars of part 2' }).fill('12');
  await expect(puree.getByText(/20 lb of it soft, which is as good here/)).toBeVisible();
  await hands.press('Jam with added pectin');
  await expect(page.getByText('all of it is given to something')).toBeVisible();
  await watch.fits();

  await test.step('a border is moved by its arrow keys, or dragged: what one part gains the next one loses', async () => {
    const pounds = async (part: number) =>
      Number(await page.getByRole('textbox', { name: `Pounds of part ${part}` }).inputValue());
    const [first, second] = [await pounds(1), await pounds(2)];
    const border = page.getByRole('slider', { name: /^Part 1, Pears in syrup/ });
    await border.focus();
    await page.keyboard.press('ArrowLeft');
    await expect.poll(() => pounds(1)).toBe(first - 1);
    await expect.poll(() => pounds(2)).toBe(second + 1);
    const box = await border.boundingBox();
    if (!box) throw new Error('no border to drag');
    await page.mouse.move(box.x + 24, box.y + 24);
    await page.mouse.down();
    await page.mouse.move(box.x - 16, box.y + 24, { steps: 4 });
    await page.mouse.up();
    await expect.poll(() => pounds(1)).toBeLessThan(first - 4);
    expect((await pounds(1)) + (await pounds(2))).toBeCloseTo(first + second, 0);
  });

  await test.step('one key plans them all, and none of it is left to be used again', async () => {
    await hands.press(/^Plan these 3: \d+ loads, .* of work$/);
    await expect.poll(async () => (await state()).batches.length).toBe(3);
    const { batches } = await state();
    const uses = batches.flatMap((batch) => batch.uses as readonly { massKg: number; softKg: number }[]);
    const sum = (of: readonly number[]) => of.reduce((all, each) => all + each, 0);
    expect(sum(uses.map(({ massKg }) => massKg))).toBeCloseTo(31.75, 2);
    expect(sum(uses.map(({ softKg }) => softKg))).toBeCloseTo(9.07, 2);
    const halves = batches.find(({ product }) => product === 'pears-halved');
    expect(halves?.uses).toEqual([expect.objectContaining({ softKg: 0 })]);
    await hands.goto('/harvest');
    await expect(page.getByText('Nothing on hand.')).toBeVisible();
  });
  watch.calm();
});

// Jobs 3 and 9: two gallon bags of frozen berries and a basket of fresh ones in one jam.
test('two bags of frozen berries lead to their jam, mix with fresh ones, thaw first and are not washed again', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hands = await twoPots(page);
  const berries = { crop: 'blackberry', softKg: 0, ripeness: 'ripe', source: 'garden', plantingId: null };
  for (const [id, massKg, place, told] of [
    ['0198f3a0-0000-7000-8000-000000001301', 3.6, 'freezer', '2 gallon bags'],
    ['0198f3a0-0000-7000-8000-000000001302', 0.9, 'refrigerator', '2 lb'],
  ] as const) {
    const pickedAt = (await state()).now - 60_000;
    const reply = await server.call('POST', '/picks', { ...berries, id, massKg, place, pickedAt, told });
    expect(reply.status).toBe(201);
  }
  await hands.goto('/');
  await page.getByRole('link', { name: /^In the freezer: 2 gallon bags/ }).click();
  await expect(page.getByRole('heading', { name: '8 lb blackberries makes' })).toBeVisible();
  await hands.press(/^From 8 lb ripe\. Choose lots\.$/);
  await page.getByRole('checkbox', { name: /^2 lb blackberries/ }).click();
  await page
    .getByRole('link', { name: /half-pints.*Choose\.$/ })
    .first()
    .click();
  await expect(page.getByRole('radiogroup', { name: 'How it thaws' })).toBeVisible();
  await page.getByRole('radio', { name: /^thaws on the counter/ }).click();
  await watch.fits();
  await hands.press(/^Plan \d+ half-pints/);
  await expect.poll(async () => (await state()).batches.length).toBe(1);
  const [batch] = (await state()).batches;
  const uses = batch?.uses as readonly { massKg: number; frozenKg?: number }[];
  // The fresh ones spoil first and go in first.
  expect(uses.find(({ frozenKg }) => frozenKg === undefined)?.massKg).toBeCloseTo(0.9, 2);
  const frozen = uses.find(({ frozenKg }) => frozenKg !== undefined);
  expect(frozen?.frozenKg).toBeCloseTo(frozen?.massKg ?? NaN, 9);
  await hands.goto('/plan/steps');
  await expect(page.getByText(/^Thaw on the counter/).first()).toBeVisible();
  await expect(page.getByText(/^Wash, pick over 2 lb/)).toBeVisible();
  // What drains off while it thaws is caught, and is not lost with the bag.
  await hands.goto('/kitchen');
  await hands.press('Start the day');
  await throughSteps(page, server, hands.key(/^Its juice is kept/), 6);
  await watch.fits();
  await hands.press(/^Its juice is kept/);
  await expect(page.getByRole('radio', { name: 'juice' })).toBeChecked();
  await page.getByRole('textbox', { name: 'How much is left' }).fill('1 1/2 cups');
  await hands.press(/^In the refrigerator/);
  await expect
    .poll(async () => (await state()).picks.flatMap(({ of }) => of ?? []))
    .toEqual([{ batchId: batch?.id, kind: 'juice' }]);
  watch.calm();
});
