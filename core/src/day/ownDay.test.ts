import { layOwnPages, NO_OWN_PAGES } from '../handbook/ownPages';
import { findProduct } from '../handbook/products';
import { ownCardId, ownProductId } from '../handbook/ownIds';
import { type Lot } from '../harvest/onHand';
import { slowThings } from '../kitchen/slowThings';
import { coldLot } from '../pantry/coldLot';
import { eatNext } from '../pantry/eatNext';
import { type OwnRecipe } from '../process/ownRecipe';
import { ownPagesOf } from '../recipe/own/pagesOf';
import { readRecipe } from '../recipe/own/readRecipe';
import { amountsOfBatch } from './amountsOfBatch';
import { type Batch, cardOf, nameOf } from './batch';
import { coldBatchOf } from './coldBatchOf';
import { dayOf } from './dayOf';
import { type DayTask } from './dayProblem';
import { USUAL_KITCHEN } from './kitchenSetup';
import { planDay } from './planDay';
import { takeForCards } from './takeForCards';

const ID = '0198f3a0-0000-7000-8000-0000000000bb';
const DAY_MS = 24 * 60 * 60_000;
const kitchen = { setup: USUAL_KITCHEN, canners: [], startMinute: 8 * 60 };

function page(text: string, more: Partial<OwnRecipe> = {}): OwnRecipe {
  const { processing: _, ...read } = readRecipe(text);
  const lines = read.lines.map(({ open: __, ...line }) => line);
  return { ...read, lines, id: ID, revision: 1, draft: false, ...more };
}

let made = 0;
function coldBatch(recipe: OwnRecipe, jars: readonly { recipe?: string; count: number }[]): Batch {
  layOwnPages(ownPagesOf([recipe]));
  const product = findProduct(ownProductId(ID));
  if (!product) throw new Error('not laid');
  const wish = {
    product,
    recipe: ownCardId(ID, recipe.revision),
    jar: recipe.yields.jar,
    into: 'refrigerator' as const,
    jars,
    uses: [],
    startAt: 0,
  };
  const batch = coldBatchOf(wish, 3_420, () => `id ${made++}`);
  if (!batch) throw new Error('no jars');
  return batch;
}

afterEach(() => layOwnPages(NO_OWN_PAGES));

const TEA = `Damson jelly
3 lb damsons
1 cup mint leaves
2 cups water
3 cups sugar
1 box pectin
Bake the damsons in the oven for 45 minutes.
Meanwhile, pour boiling water over the mint and let it steep for 30 minutes in the dehydrator room.
Strain the mint tea into the damsons.
Boil hard for 1 minute with sugar and pectin.
Fill into half-pint jars.
Makes 5 half-pints`;

describe('steps that go on side by side', () => {
  const found = () => {
    const batch = coldBatch(page(TEA), [{ count: 5 }]);
    const planner = planDay({ ...kitchen, batches: [batch], seed: 1 });
    if (planner.kind !== 'planner') throw new Error('no plan');
    return { batch, plan: planner.step(2_000).plan };
  };
  const at = (plan: ReturnType<typeof found>['plan'], words: RegExp) => {
    const all = (plan?.tasks ?? []).filter(({ task }) => words.test(task.words));
    return { from: Math.min(...all.map(({ startMin }) => startMin)), to: Math.max(...all.map(({ endMin }) => endMin)) };
  };

  test('the herbs steep while the fruit bakes, and straining waits for both', () => {
    const { plan } = found();
    const [bake, steep, strain] = [at(plan, /^Bake/), at(plan, /steep/), at(plan, /^Strain/)];
    expect(steep.from).toBeLessThan(bake.to);
    expect(strain.from).toBeGreaterThanOrEqual(Math.max(bake.to, steep.to));
  });

  test('an oven holds one thing at a time, and a tool by its own name', () => {
    const batch = coldBatch(
      page(TEA, {
        steps: page(TEA).steps.map((step) => (/steep/.test(step.text) ? { ...step, occupies: ['dehydrator'] } : step)),
      }),
      [{ count: 5 }],
    );
    const { resources, tasks } = dayOf(
      [batch, { ...batch, id: 'other', loads: batch.loads.map((load) => ({ ...load, id: `other ${load.id}` })) }],
      kitchen,
    );
    expect(resources.find(({ id }) => id === 'tool dehydrator')).toMatchObject({ capacity: 1 });
    const ovens = tasks.filter(({ needs }) => needs.oven === 1);
    expect(new Set(ovens.map(({ batchId }) => batchId)).size).toBe(2);
    expect(resources.find(({ id }) => id === 'oven')).toMatchObject({ capacity: 1 });
  });

  test('no canner is asked for: filled, cooled 20 minutes, put away', () => {
    const { batch, plan } = found();
    const ofLoad = (kind: DayTask['kind']) =>
      plan?.tasks.find(({ task }) => task.kind === kind && task.loadId === batch.loads[0]?.id);
    const [cool, store] = [ofLoad('cool'), ofLoad('store')];
    expect((cool?.endMin ?? 0) - (cool?.startMin ?? 0)).toBe(20);
    expect(store?.startMin).toBeGreaterThanOrEqual(cool?.endMin ?? Infinity);
    expect(plan?.tasks.some(({ task }) => task.cannerId !== undefined)).toBe(false);
  });
});

const BRINE = `One brine
3 cups white vinegar (5 %)
2 cups water
1 Tbsp canning salt
1 lb carrots, cut in sticks
1 lb green beans, trimmed
1/2 lb onions, peeled
1 clove garlic in each jar
Boil the brine.
Pack the vegetables into jars.
Cover with the hot brine.
Makes 6 pints`;

function fillings(): OwnRecipe {
  const plain = page(BRINE);
  const own = (filling: string, word: string) => (line: OwnRecipe['lines'][number]) =>
    line.item.includes(word) ? { ...line, filling } : line;
  return {
    ...plain,
    lines: plain.lines.map(own('f1', 'carrot')).map(own('f2', 'bean')).map(own('f3', 'onion')),
    fillings: [
      { id: 'f1', name: 'Carrot sticks', jars: 2, readyDays: [1, 3] },
      { id: 'f2', name: 'Beans in brine', jars: 2, readyDays: [7, 7] },
      { id: 'f3', name: 'Small onions', jars: 2, readyDays: [7, 7] },
    ],
  };
}

describe('one brine over several fillings', () => {
  const recipe = fillings();
  const jars = recipe.fillings.map(({ id }, i) => ({ recipe: ownCardId(ID, 1, id), count: i + 1 }));

  test('the brine is made once, for all jars, in its own strength', () => {
    const batch = coldBatch(recipe, jars);
    const { tasks } = dayOf([batch], kitchen);
    expect(tasks.filter(({ entry, needs }) => entry === 'boil-brine' && needs.hands === 1)).toHaveLength(1);
    const amounts = amountsOfBatch(batch);
    const ml = (item: string) => {
      const all = amounts?.lines.find(({ line }) => line.item === item)?.all;
      return all && all.of !== 'words' ? all.value : 0;
    };
    expect(ml('white vinegar') / ml('water')).toBeCloseTo(3 / 2, 6);
    // Enough for six pints half to two thirds full of liquid; common practice.
    expect(ml('white vinegar') + ml('water')).toBeGreaterThan(6 * 473 * 0.6);
  });

  test('each jar has its own name, its own filling and its own days', () => {
    const batch = coldBatch(recipe, jars);
    expect(nameOf(batch)).toBe('One brine');
    expect(batch.loads.map((load) => nameOf(batch, load))).toEqual(['Carrot sticks', 'Beans in brine', 'Small onions']);
    const loads = amountsOfBatch(batch)?.loads ?? [];
    const crops = loads.map(({ amounts }) =>
      amounts.lines.flatMap(({ line }) => line.crops).filter((crop) => crop !== 'garlic'),
    );
    expect(crops).toEqual([['carrot'], ['bean-snap'], ['onion']]);
    const [first, second] = batch.loads.map((load, i) => {
      const event = {
        id: `e${i}`,
        loadId: load.id,
        at: 0,
        type: 'kept-cold',
        jars: load.jars,
        lotId: `lot ${i}`,
      } as const;
      return coldLot(batch, load, event, [recipe]).lots[0];
    });
    expect([first?.readyAt, second?.readyAt]).toEqual([1 * DAY_MS, 7 * DAY_MS]);
    expect(first).toMatchObject({ seal: 'cold', place: 'refrigerator', keepsUntil: 60 * DAY_MS });
  });

  test('what is on hand is set apart, each crop once, and the rest is told', () => {
    layOwnPages(ownPagesOf([recipe]));
    const lot = {
      pickId: 'p',
      crop: 'carrot',
      massKg: 5,
      until: 1,
      ripeness: 'ripe',
      place: 'cool',
      part: 'whole',
    } as unknown as Lot;
    const wanted = [...ownPagesOf([recipe]).cardById.values()].map((card) => ({ card, jar: 'pint' as const, jars: 2 }));
    const { uses, missing } = takeForCards(wanted, [lot]);
    expect(uses).toHaveLength(1);
    expect(uses[0]?.massKg).toBeCloseTo(0.4536, 2);
    expect(missing.map(({ crop }) => crop)).toEqual(expect.arrayContaining(['bean-snap', 'onion']));
  });
});

test('what is left out takes nothing, and a step has in hand what its words name', () => {
  const recipe = page(`Dills with carrots
4 lb pickling cucumbers
2 lb carrots
1 gal water and 1 cup salt, for soaking (optional)
6 cups white vinegar (5 %)
6 cups water
Peel the carrots.
Soak the cucumbers overnight in the salt water (optional).
Boil the vinegar and water.
Pack into jars.
Cover with the hot brine.
Makes 6 quarts`);
  const kg = (crop: string, massKg: number) => ({ pickId: crop, crop: crop as 'carrot', massKg, softKg: 0 });
  const plain = { ...coldBatch(recipe, [{ count: 6 }]), uses: [kg('cucumber-pickling', 1.8), kg('carrot', 0.9)] };
  const soak = recipe.steps.find(({ optional }) => optional);
  const entry = cardOf(plain)?.steps.find(({ optional }) => optional)?.step ?? '';
  const items = (batch: Batch) => amountsOfBatch(batch)?.lines.map(({ line }) => `${line.item} ${line.then}`);
  expect(soak).toBeDefined();
  expect(items(plain)).toEqual(expect.arrayContaining(['water drained', 'salt drained']));
  const left = items({ ...plain, without: [entry] });
  expect(left).toContain('water jar');
  expect(left?.some((line) => line.endsWith('drained'))).toBe(false);
  const peel = dayOf([plain], kitchen).tasks.find(({ words }) => words.startsWith('Peel'));
  expect(peel?.words).toBe('Peel 2 lb carrots');
});

test('a recipe that is changed leaves a planned batch the page it was planned by', () => {
  const first = page(BRINE);
  const batch = coldBatch(first, [{ count: 6 }]);
  const salt = (of: Batch) => amountsOfBatch(of)?.lines.find(({ line }) => line.item === 'canning salt')?.line.amount;
  const before = salt(batch);
  const changed = page(BRINE.replace('1 Tbsp canning salt', '4 Tbsp canning salt'), { revision: 2 });
  layOwnPages(ownPagesOf([first, changed]));
  expect(salt(batch)).toEqual(before);
  expect(salt({ ...batch, recipe: ownCardId(ID, 2) })).not.toEqual(before);
});

test('an infusion tells when it is stirred next and when it is over, with the day', () => {
  const batch = coldBatch(
    page(
      'Raspberry vinegar\n2 lb raspberries\n4 cups vinegar 5 %\nPour the vinegar over the berries and infuse for 24 to 48 hours, stirring daily.\nStrain.\nFill into half-pint jars.',
    ),
    [{ count: 4 }],
  );
  const { tasks } = dayOf([batch], kitchen);
  const wait = tasks.find(({ id }) => /wait/.test(id));
  const startMin = 30;
  const running = new Map([[wait?.id ?? '', { kind: 'running' as const, startMin, endMin: startMin + 1_440 }]]);
  const at = (minute: number) => slowThings({ tasks, startAt: 0 }, { of: running }, [batch], minute * 60_000);
  expect(at(60)).toMatchObject([{ endsAt: (startMin + 1_440) * 60_000 }]);
  expect(at(60)[0]).not.toHaveProperty('next');
  const half = coldBatch(
    page(
      'Herb vinegar\n2 cups raspberries\n4 cups vinegar 5 %\nInfuse for 48 hours, stir twice a day.\nStrain.\nFill into half-pint jars.',
    ),
    [{ count: 4 }],
  );
  const own = dayOf([half], kitchen).tasks;
  const infusing = own.find(({ id }) => /wait/.test(id));
  const [thing] = slowThings(
    { tasks: own, startAt: 0 },
    { of: new Map([[infusing?.id ?? '', { kind: 'running' as const, startMin: 0, endMin: 2_880 }]]) },
    [half],
    800 * 60_000,
  );
  expect(thing).toMatchObject({ next: { words: 'Stir', at: 1_440 * 60_000 }, endsAt: 2_880 * 60_000 });
});

test('what is kept cold is eaten next in its last two weeks, and not before it is ready', () => {
  const lot = {
    id: 'l',
    product: ownProductId(ID),
    jar: 'pint',
    place: 'refrigerator',
    placeKind: 'refrigerator',
    seal: 'cold',
    madeAt: 0,
    readyAt: 3 * DAY_MS,
    keepsUntil: 60 * DAY_MS,
    jars: 2,
  } as const;
  const reasons = (day: number, more = {}) =>
    eatNext([{ ...lot, ...more }], [], day * DAY_MS).map(({ reason }) => reason);
  expect(reasons(1)).toEqual([]);
  expect(reasons(30)).toEqual([]);
  expect(reasons(47)).toEqual(['cold']);
  expect(reasons(61)).toEqual(['past-use']);
  expect(reasons(1, { keepsUntil: 3 * DAY_MS, readyAt: 0 })).toEqual(['cold']);
});
