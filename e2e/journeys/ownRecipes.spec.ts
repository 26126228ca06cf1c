import { expect, type Page, test } from '@playwright/test';
import { BIG_POT } from '../bigPot';
import { atEight, giveDemoClock, laterBy } from '../demoClock';
import { kitchenHands } from '../kitchenHands';
import { RealServer } from '../realServer';
import { throughSteps } from '../throughSteps';
import { watchPage } from '../watchPage';

const MIN = 60_000;
const DAY = 24 * 60 * MIN;

let server: RealServer;
test.beforeEach(async () => {
  server = await RealServer.start();
  await giveDemoClock(server);
  await atEight(server);
});
test.afterEach(() => server.stop());

interface State {
  readonly now: number;
  readonly recipes: readonly {
    id: string;
    name: string;
    revision: number;
    draft: boolean;
    lines: readonly { then: string; open?: string }[];
    steps: readonly { after?: readonly string[] }[];
    unread: readonly string[];
  }[];
  readonly batches: readonly {
    recipe?: string;
    method: string;
    processMinutes: number;
    loads: readonly { jars: number }[];
  }[];
  readonly lots: readonly {
    recipe?: string;
    seal: string;
    place: string;
    madeAt: number;
    readyAt?: number;
    keepsUntil: number;
  }[];
}
const state = async () => (await server.call('GET', '/state')).body as State;

/** A page with its keys, each tap and each field filled counted. */
function counted(page: Page) {
  let taps = 0;
  const tapped = async (act: Promise<void>) => {
    taps += 1;
    await act;
  };
  return {
    taps: () => taps,
    tap: (name: string | RegExp, nth = 0) =>
      tapped(
        page
          .getByRole('button', { name, exact: typeof name === 'string' })
          .nth(nth)
          .click(),
      ),
    choose: (name: string | RegExp) => tapped(page.getByRole('radio', { name }).click()),
    fill: (label: string, text: string) => tapped(page.getByLabel(label, { exact: true }).fill(text)),
  };
}

async function paste(page: Page, hand: ReturnType<typeof counted>, text: string): Promise<void> {
  await page.goto(`${server.address}/bench/recipes/new`);
  await hand.fill('The recipe as it stands in the book', text);
  await hand.tap('Read it');
}

/** Set, not typed: the keys of the household are another journey's. */
async function kitchenAt(altitudeFt: number): Promise<void> {
  const { household } = (await server.call('GET', '/state')).body as { household: object };
  const reply = await server.call('PUT', '/household', { ...household, altitudeFt, canners: [BIG_POT] });
  expect(reply.status).toBe(200);
}

test('nine ingredients and eight steps from paste to a planned batch in under 25 taps, and the batch keeps its page', async ({
  page,
}) => {
  const watch = watchPage(page);
  const hand = counted(page);
  await kitchenAt(3_420);
  await paste(
    page,
    hand,
    `Damson and mint jelly
3 1/4 lb damsons
1 cup packed fresh mint leaves
2 cups water
1 box low-sugar pectin
3 cups sugar
2 Tbsp bottled lemon juice
1 stick cinnamon, tied in a bag
1 cup honey
1/4 tsp ground ginger
Method
1. Bake the damsons in the oven at 350 F for 45 minutes until soft.
2. Meanwhile, pour the boiling water over the mint and let it steep for 30 minutes.
3. Strain the mint tea into the damsons.
4. Drip through a jelly bag for 4 hours.
5. Measure the juice: you should have 4 cups.
6. Stir in the pectin and bring to a full rolling boil.
7. Add the sugar, boil hard for 1 minute, stirring.
8. Ladle into hot half-pint jars leaving 1/4 inch headspace.
Makes 5 half-pints`,
  );

  await test.step('every line stands there as it was understood; two steps go on at once', async () => {
    await expect(page.getByRole('list', { name: 'Ingredients' }).getByRole('listitem')).toHaveCount(9);
    await expect(page.getByRole('list', { name: 'Steps' }).getByRole('listitem')).toHaveCount(8);
    await expect(page.getByRole('button', { name: /mint leaves: fished out/ })).toBeVisible();
    await expect(page.getByText('after 1 and 2')).toBeVisible();
    await expect(page.getByText('refrigerator, a month')).toBeVisible();
  });

  await test.step('a page that may not be is refused line by line, and what was typed stays', async () => {
    await hand.tap('It is from a tested page');
    await hand.fill('Title of the source', 'Jellies tested at home');
    await hand.fill('Minutes 3,001 to 6,000 ft', '2');
    await hand.tap('Keep it');
    await expect(page.getByRole('alert')).toContainText('Name the page');
    await expect(page.getByRole('alert')).toContainText('fewer is never taken');
    await expect(page.getByLabel('Title of the source', { exact: true })).toHaveValue('Jellies tested at home');
    await hand.fill('Page', '44');
    await hand.fill('Minutes 3,001 to 6,000 ft', '10');
    await hand.tap('Keep it');
    // A second tap in the same half second is none.
    await expect(async () => {
      const keep = page.getByRole('button', { name: 'Keep it', exact: true });
      if (await keep.isVisible()) await keep.click();
      await expect(page.getByRole('button', { name: 'Make it', exact: true })).toBeVisible({ timeout: 1_000 });
    }).toPass();
  });

  await test.step('planned by its own minutes, in its own jar', async () => {
    await hand.tap('Make it');
    await expect(page.getByText('Jellies tested at home, p. 44', { exact: false }).first()).toBeVisible();
    await hand.tap('Plan 5 half-pints');
    await expect(
      page.getByRole('heading', { name: /Monday|Tuesday|Wednesday|Thursday|Friday|Saturday|Sunday/ }).first(),
    ).toBeVisible();
    expect(hand.taps()).toBeLessThan(25);
    const [batch] = (await state()).batches;
    expect(batch).toMatchObject({ method: 'boiling-water', processMinutes: 10, loads: [{ jars: 5 }] });
  });

  await test.step('found by any word of it', async () => {
    await page.goto(`${server.address}/bench/tested`);
    await page.getByLabel('Search by any name').fill('mint');
    await expect(page.getByRole('link', { name: /Damson and mint jelly\. our own recipe/ })).toBeVisible();
  });

  await test.step('changed meanwhile, what is planned stays by the page it was planned by', async () => {
    const [recipe] = (await state()).recipes;
    const { status } = await server.call('PUT', `/recipes/${recipe?.id}`, {
      ...recipe,
      revision: 2,
      name: 'Another jelly',
    });
    expect(status).toBe(201);
    await page.goto(`${server.address}/plan`);
    await expect(page.getByText('5 half-pints damson and mint jelly').first()).toBeVisible();
    expect((await state()).batches[0]?.recipe).toMatch(/@1$/);
  });
  await watch.fits();
  watch.calm();
});

test('one brine over three fillings: no canner, each jar with its name and its days', async ({ page }) => {
  const watch = watchPage(page);
  const hand = counted(page);
  const hands = kitchenHands(page, server.address);
  await kitchenAt(3_420);
  await paste(
    page,
    hand,
    `One brine
3 cups white vinegar
2 cups water
1 Tbsp canning salt
1 lb carrots, cut in sticks
1 lb green beans, trimmed
1/2 lb small onions, peeled
some dill
Boil the vinegar, water and salt for the brine.
Pack the vegetables into jars.
Cover with the hot brine, leaving 1/2 inch headspace.
Makes 6 pints`,
  );
  await test.step('what a careful cook would ask is asked, and taken by one tap each', async () => {
    // Until it is told how strong, it counts for nothing more than it says.
    await hand.tap('5 % on the label');
    await hand.tap('Each jar');
    for (const filling of ['Carrots', 'Green beans', 'Onions']) {
      await page.getByLabel('A filling', { exact: true }).fill(filling);
      await page.getByRole('button', { name: 'Add', exact: true }).last().click();
      await expect(page.getByText('one line of its own')).toHaveCount(
        ['Carrots', 'Green beans', 'Onions'].indexOf(filling) + 1,
      );
    }
    await hand.tap('Keep it');
    await hand.tap('Make it');
  });
  await test.step('its strength beside each filling’s tested mix, and why not the shelf', async () => {
    await expect(page.getByText('Vinegar 5/8 of the liquid; tested 7/8.')).toBeVisible();
    await expect(page.getByText(/For the shelf only as dilled beans of the handbook, 10 min/)).toBeVisible();
    await expect(page.getByText(/Not for the shelf: nobody tested it/)).toBeVisible();
    await hand.tap('Plan 6 pints');
  });
  await test.step('cooked step by step, into the refrigerator', async () => {
    await expect(page.getByText('2 pints carrots').first()).toBeVisible();
    await page.goto(`${server.address}/kitchen`);
    await hands.press('Start the day');
    // Every jar is in when hands have nothing to do any more.
    await throughSteps(page, server, page.getByText('Free', { exact: true }), 80);
    await expect.poll(async () => (await state()).lots.length).toBe(3);
  });
  await test.step('each with ready and eat-by, on the shelf by its own name', async () => {
    const { lots } = await state();
    expect(new Set(lots.map(({ recipe }) => recipe)).size).toBe(3);
    for (const { seal, place, madeAt, readyAt, keepsUntil } of lots) {
      expect([seal, place, (readyAt ?? 0) - madeAt, keepsUntil - madeAt]).toEqual([
        'cold',
        'refrigerator',
        DAY,
        60 * DAY,
      ]);
    }
    await page.goto(`${server.address}/shelf`);
    await expect(page.getByText('Green beans').first()).toBeVisible();
    await expect(page.getByText(/ready \w+ \d+ \w+, use by/).first()).toBeVisible();
  });
  await watch.fits();
  watch.calm();
});

test('a two-day infusion is called for on the day and hour, measured, and its sugar follows', async ({ page }) => {
  const watch = watchPage(page);
  const hand = counted(page);
  const hands = kitchenHands(page, server.address);
  await kitchenAt(800);
  await paste(
    page,
    hand,
    `Raspberry vinegar
2 lb raspberries
4 cups white wine vinegar 6%
sugar, the same amount
Crush the berries, pour the vinegar over and infuse for 24 to 48 hours, stirring twice a day.
Strain.
Measure the vinegar.
Bring to a boil with the sugar for 10 minutes.
Fill into half-pint jars.
Makes 6 to 8 half-pints`,
  );
  await hand.tap('Keep it');
  await hand.tap('Make it');
  await hand.tap('Plan 7 half-pints');
  await expect(page.getByText('7 half-pints raspberry vinegar').first()).toBeVisible();
  await page.goto(`${server.address}/kitchen`);
  await hands.press('Start the day');
  await throughSteps(page, server, page.getByText(/every 12 h/));
  await test.step('Today says when it is stirred next, with the day', async () => {
    await page.goto(server.address);
    const list = page.getByRole('list', { name: 'Goes on by itself' });
    await expect(list).toContainText(/Stir \w+day \d+:\d\d pm; over \w+day \d+:\d\d am/);
  });
  await test.step('it calls half a day later, wherever one looks', async () => {
    await laterBy(server, 12 * 60 + 10);
    await page.goto(`${server.address}/kitchen`);
    await hands.press('Stirred');
    await expect(hands.key('Stirred')).toHaveCount(0);
  });
  await test.step('a cup more was measured: the sugar is as much', async () => {
    await laterBy(server, 13 * 60);
    await throughSteps(page, server, hands.key('Measure'), 40);
    await hands.key('Measure').click();
    const cup = page.getByRole('button', { name: 'Measured vinegar: more' });
    await cup.click();
    await expect(page.getByRole('status').filter({ hasText: 'Into the pot' })).toContainText('4 1/2 cups sugar');
  });
  await watch.fits();
  watch.calm();
});

test('whatever is pasted is read or left as text: nothing is run, nothing is lost', async ({ page }) => {
  const watch = watchPage(page);
  const hand = counted(page);
  await paste(
    page,
    hand,
    `<h1>Jam <img src=x onerror="document.title='run'"></h1>\n<li>4 cups figs</li><script>document.title='run'</script>\n${Array.from({ length: 300 }, (_, i) => `${i + 1} cups sugar`).join('\n')}\n🍓 Zwiebeln nach Gefühl`,
  );
  await expect(page.getByRole('list', { name: 'Ingredients' }).getByRole('listitem')).toHaveCount(60);
  await expect(page.getByText(/and \d+ more lines/)).toBeVisible();
  expect(await page.title()).toBe('Hoddle');
  await test.step('half done it is kept, over a reload and on the server', async () => {
    await page.reload();
    await expect(page.getByRole('list', { name: 'Ingredients' }).getByRole('listitem')).toHaveCount(60);
    await hand.tap('Keep half done');
    await expect(page.getByText('half written down')).toBeVisible();
    const [recipe] = (await state()).recipes;
    expect([recipe?.draft, recipe?.lines.length, (recipe?.unread.length ?? 0) >= 240]).toEqual([true, 60, true]);
  });
  await watch.fits();
  watch.calm();
});
