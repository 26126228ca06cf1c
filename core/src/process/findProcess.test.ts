import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { JAR_SIZES, JARS, type JarSize } from '../handbook/jars';
import { PRODUCTS } from '../handbook/products';
import { mayChange } from '../recipe/change';
import { findProcess, findTestedRow, type TestedProcess } from './findProcess';
import { METHODS } from './method';
import { plannedProcess } from './plannedProcess';
import { bandAt } from './withOwnSource';

const crushedQuarts = { product: 'tomatoes-crushed', pack: 'hot', jar: 'quart', method: 'boiling-water' };
type Question = typeof crushedQuarts & { altitudeFt: number };

function ask(question: Partial<Question>): TestedProcess {
  const answer = findProcess({ ...crushedQuarts, altitudeFt: 500, ...question });
  if (answer.kind === 'refusal') throw new Error(answer.reason);
  return answer;
}

describe('boiling water', () => {
  // USDA Complete Guide to Home Canning, 2015, guide 3, "Crushed Tomatoes (with no added liquid)".
  test.each([
    [0, 45],
    [1_000, 45],
    [1_000.5, 50],
    [1_001, 50],
    [3_000, 50],
    [3_001, 55],
    [3_420, 55],
    [6_000, 55],
    [6_001, 60],
    [12_000, 60],
  ])('crushed tomatoes in quarts at %d ft take %d min', (altitudeFt, minutes) => {
    expect(ask({ altitudeFt }).minutes).toBe(minutes);
  });

  // The same book, the guide named: minutes in the four bands, headspace in inches.
  test.each([
    ['tomatoes-crushed', 'hot', 'pint', [35, 40, 45, 50], 0.5, 3],
    ['tomatoes-whole-in-juice', 'raw', 'quart', [85, 90, 95, 100], 0.5, 3],
    ['tomato-sauce-thick', 'hot', 'pint', [35, 40, 45, 50], 0.25, 3],
    ['tomato-ketchup', 'hot', 'pint', [15, 20, 20, 25], 0.125, 3],
    ['peaches', 'raw', 'quart', [30, 35, 40, 45], 0.5, 2],
    ['apple-juice', 'hot', 'half-gallon', [10, 15, 15, 20], 0.25, 2],
    ['pickled-beets', 'hot', 'quart', [30, 35, 40, 45], 0.5, 6],
    ['quick-fresh-pack-dill', 'raw', 'quart', [15, 20, 20, 25], 0.5, 6],
    ['pickled-asparagus', 'raw', 'twelve-ounce', [10, 15, 15, 20], 0.5, 6],
    ['peach-pineapple-reduced-sugar-spread', 'hot', 'pint', [20, 25, 30, 35], 0.25, 7],
  ])('%s, %s pack, %s: minutes and headspace as published', (product, pack, jar, minutes, headspaceIn, guide) => {
    const answers = [500, 2_000, 3_420, 7_000].map((altitudeFt) => ask({ product, pack, jar, altitudeFt }));
    expect(answers).toMatchObject(minutes.map((value) => ({ minutes: value, headspaceIn, recalled: true })));
    expect(answers[0]?.source).toContain(`guide ${guide}`);
  });

  // Handbook rule 4; guide 7, "Processing jams and jellies": 5 min in sterile jars, else 10 in clean ones.
  test('jam: 5 min sterile or 10 clean at sea level, then 10, then 15; plans take the clean jars', () => {
    const jam = { product: 'jam-with-pectin', jar: 'half-pint' };
    const [sea, hill, mountain] = [500, 3_420, 7_000].map((altitudeFt) => ask({ ...jam, altitudeFt }));
    expect(sea).toMatchObject({ minutes: 5, sterilizeJars: { minutes: 10 } });
    expect(sea?.alternatives).toEqual([{ minutes: 10 }]);
    expect([hill?.minutes, hill?.sterilizeJars, hill?.alternatives]).toEqual([10, undefined, []]);
    expect([mountain?.minutes, mountain?.sterilizeJars]).toEqual([15, undefined]);
    expect([sea, hill, mountain].map((answer) => plannedProcess(answer!))).toEqual([
      { minutes: 10 },
      { minutes: 10 },
      { minutes: 15 },
    ]);
    // No clean-jar time is published for other short processes: there the jars are boiled.
    expect(plannedProcess(ask({ product: 'dilled-beans', pack: 'raw', jar: 'pint' }))).toEqual({
      minutes: 5,
      sterilizeJars: { minutes: 10 },
    });
  });
});

describe('under pressure', () => {
  // The same book, guide 4, "Beans, snap": pints 20 min, quarts 25 min; guide 3, "Tomatoes, crushed": three pressures.
  test.each([
    ['snap-beans', 'pressure-dial', 500, 25, 11],
    ['snap-beans', 'pressure-dial', 2_001, 25, 12],
    ['snap-beans', 'pressure-dial', 8_000, 25, 14],
    ['snap-beans', 'pressure-weighted', 1_000, 25, 10],
    ['snap-beans', 'pressure-weighted', 1_001, 25, 15],
    ['tomatoes-crushed', 'pressure-dial', 3_420, 15, 12],
    ['tomatoes-crushed', 'pressure-weighted', 500, 15, 10],
    ['applesauce', 'pressure-weighted', 500, 10, 5],
  ])('%s, %s, %d ft: %d min at %d psi, vented 10 min', (product, method, altitudeFt, minutes, pressurePsi) => {
    expect(ask({ product, method, altitudeFt })).toMatchObject({ minutes, pressurePsi, ventMinutes: 10 });
  });

  test('the other pressures of a food are alternatives, without those not recommended up here', () => {
    const others = (method: string, altitudeFt: number) =>
      ask({ method, altitudeFt }).alternatives.map(({ minutes, pressurePsi }) => [minutes, pressurePsi]);
    expect(others('pressure-dial', 500)).toEqual([[20, 6]]);
    expect(others('pressure-weighted', 500)).toEqual([
      [20, 5],
      [10, 15],
    ]);
    expect(others('pressure-weighted', 3_420)).toEqual([[20, 10]]);
  });

  test('tomatoes take their acid under pressure too, low-acid food never any', () => {
    expect(ask({ method: 'pressure-dial' }).acid).toMatchObject({ bottledLemonJuiceTbsp: 2 });
    expect(ask({ product: 'snap-beans', method: 'pressure-dial' }).acid).toBeUndefined();
  });
});

// The same book, guide 3, "Acidification", guide 2 for figs: lemon juice 1 Tbsp a pint, citric acid 1/4 tsp; vinegar for tomatoes.
test('acid is dosed by the jar, rounded up, and only where the food needs it', () => {
  expect(ask({ jar: 'pint' }).acid).toEqual({ bottledLemonJuiceTbsp: 1, citricAcidTsp: 0.25, vinegarTbsp: 2 });
  expect(ask({}).acid).toEqual({ bottledLemonJuiceTbsp: 2, citricAcidTsp: 0.5, vinegarTbsp: 4 });
  expect(ask({ jar: 'twelve-ounce' }).acid).toEqual({
    bottledLemonJuiceTbsp: 1,
    citricAcidTsp: 0.25,
    vinegarTbsp: 1.5,
  });
  expect(ask({ product: 'figs' }).acid).toEqual({ bottledLemonJuiceTbsp: 2, citricAcidTsp: 0.5 });
  expect(ask({ product: 'plums' }).acid).toBeUndefined();
});

// Handbook rule 8; guide 6, "Low-temperature pasteurization treatment".
test('a low-temperature bath is 30 min at 180 to 185 F, for the pickles it is published for', () => {
  expect(
    ask({ product: 'bread-and-butter-pickles', method: 'low-temperature-bath', altitudeFt: 12_000 }),
  ).toMatchObject({
    minutes: 30,
    bathF: { low: 180, high: 185 },
  });
});

describe('refusals say why and what instead', () => {
  test.each([
    ['a half-gallon of tomatoes', { jar: 'half-gallon' }, 'jar-too-large', ['quart', 'pint']],
    ['a raw pack nobody tested', { pack: 'raw' }, 'pack-untested', ['hot pack']],
    ['steam over 45 min', { method: 'steam', altitudeFt: 3_420 }, 'steam-too-long', ['boiling-water']],
    [
      'dial gauge above 8,000 ft',
      { method: 'pressure-dial', altitudeFt: 8_001 },
      'dial-too-high',
      ['pressure-weighted'],
    ],
    ['a jar that does not exist', { jar: 'bathtub' }, 'unknown-jar', [...JAR_SIZES].reverse()],
    [
      'beans in boiling water',
      { product: 'snap-beans' },
      'low-acid',
      expect.arrayContaining(['pressure-dial', 'freezer']),
    ],
    [
      'beans in steam',
      { product: 'snap-beans', method: 'steam' },
      'low-acid',
      expect.arrayContaining(['pressure-weighted']),
    ],
    [
      'a low bath for salsa',
      { product: 'tomato-taco-sauce', jar: 'pint', method: 'low-temperature-bath' },
      'no-low-temperature-row',
      ['boiling-water'],
    ],
    ['pumpkin butter', { product: 'pumpkin butter' }, 'never', expect.arrayContaining(['freezer'])],
    ['white peaches', { product: 'White peaches' }, 'never', expect.arrayContaining(['freezer', 'peaches'])],
    ['elderberries', { product: 'elderberry jam' }, 'never', expect.arrayContaining(['freezer'])],
    ['frosted vines', { product: 'tomatoes from frosted vines' }, 'never', expect.arrayContaining(['freezer'])],
    ['open kettle', { method: 'open-kettle' }, 'not-a-process', expect.arrayContaining(['boiling-water'])],
    ['the oven', { method: 'oven' }, 'not-a-process', expect.arrayContaining(['boiling-water'])],
    [
      'a formula not surely recalled',
      { product: 'zucchini-bread-and-butter' },
      'formula-unsure',
      expect.arrayContaining(['bread-and-butter-pickles']),
    ],
    ['moon cheese', { product: 'moon-cheese' }, 'unknown-product', expect.any(Array)],
  ])('%s', (_, question, cause, instead) => {
    expect(findProcess({ ...crushedQuarts, altitudeFt: 500, ...question })).toEqual({
      kind: 'refusal',
      cause,
      reason: expect.stringMatching(/^[A-Z].*\.$/),
      instead,
    });
  });

  test('a formula changed beyond rule 17 ends the tested time and names the nearest tested product', () => {
    const beets = PRODUCTS.find(({ product }) => product === 'pickled-beets')!;
    const question = { ...crushedQuarts, product: 'pickled-beets', altitudeFt: 500 };
    expect(findProcess(question, {}, [mayChange(beets, 'less-acid')])).toMatchObject({
      kind: 'refusal',
      cause: 'changed',
      instead: expect.arrayContaining(['pickled-beets']),
    });
    expect(findProcess(question, {}, [mayChange(beets, 'dry-spices')])).toMatchObject({ minutes: 30 });
    const pickles = PRODUCTS.find(({ product }) => product === 'bread-and-butter-pickles')!;
    const lessSalt = [mayChange(pickles, 'less-salt')];
    const pickled = { ...question, product: 'bread-and-butter-pickles' };
    expect(findProcess(pickled, {}, lessSalt).kind).toBe('tested');
    expect(findProcess({ ...pickled, method: 'low-temperature-bath' }, {}, lessSalt)).toMatchObject({
      cause: 'changed',
    });
  });
});

test('a checked row carries its day, and so does an alternative of another row', () => {
  const { rowId, alternatives } = ask({ method: 'pressure-dial' });
  const checkedRows = new Map([
    [rowId!, '2026-08-29'],
    [alternatives[0]!.rowId!, '2026-08-30'],
  ]);
  const answer = findProcess({ ...crushedQuarts, method: 'pressure-dial', altitudeFt: 500 }, { checkedRows });
  expect(answer).toMatchObject({ checkedOn: '2026-08-29', alternatives: [{ checkedOn: '2026-08-30' }] });
});

describe('over the whole space', () => {
  const page = (name: string) =>
    parse(readFileSync(join(__dirname, '../handbook/published', `${name}.csv`)), { columns: true }) as Record<
      string,
      string
    >[];
  const [boiling, pressure, products, recipes] = ['boiling-water', 'pressure', 'products', 'recipes'].map(page);

  /** An own reading of the printed tables: "minutes psi", or undefined where they and the rules have none. */
  function printed({ product, pack, jar, method, altitudeFt }: Question): string | undefined {
    const row = products!.find((one) => one.product === product)!;
    const surely = recipes!.some((one) => one.product === product && one.confidence !== 'low');
    if (row.formula === 'recipe' && !surely) return undefined;
    const ounces = JARS[jar as JarSize].nominalFlOz;
    const isPressure = method.startsWith('pressure');
    const rows = (isPressure ? pressure! : boiling!).filter(
      (one) => one.product === row.process && one.pack!.split('|').includes(pack),
    );
    const sizes = rows.flatMap((one) =>
      (one.jars ?? one.jar)!.split('|').map((size) => JARS[size as JarSize].nominalFlOz),
    );
    const size = Math.min(...sizes.filter((own) => own >= ounces));
    const fit = rows.filter((one) =>
      (one.jars ?? one.jar)!.split('|').some((own) => JARS[own as JarSize].nominalFlOz === size),
    );
    if (fit.length === 0) return undefined;
    if (isPressure) {
      const dial = method === 'pressure-dial';
      if (dial && altitudeFt > 8_000) return undefined;
      const [foot, column] = dial
        ? [
            'dial_psi_0_2000',
            altitudeFt <= 2_000
              ? 'dial_psi_0_2000'
              : altitudeFt <= 4_000
                ? 'dial_psi_2001_4000'
                : altitudeFt <= 6_000
                  ? 'dial_psi_4001_6000'
                  : 'dial_psi_6001_8000',
          ]
        : ['weighted_psi_0_1000', altitudeFt <= 1_000 ? 'weighted_psi_0_1000' : 'weighted_psi_over_1000'];
      const usual = fit.find((one) => one[foot] === (dial ? '11' : '10')) ?? fit[0]!;
      return `${usual.minutes} ${usual[column]}`;
    }
    if (method === 'low-temperature-bath') return row.low_temperature_bath === 'yes' ? '30' : undefined;
    const minutes =
      fit[0]![
        altitudeFt <= 1_000
          ? 'min_0_1000'
          : altitudeFt <= 3_000
            ? 'min_1001_3000'
            : altitudeFt <= 6_000
              ? 'min_3001_6000'
              : 'min_over_6000'
      ]!;
    return method === 'steam' && (Number(minutes) > 45 || ounces > 32) ? undefined : minutes;
  }

  const EDGES = [
    0, 1_000, 1_000.5, 1_001, 2_000, 2_001, 3_000, 3_001, 4_000, 4_001, 6_000, 6_001, 8_000, 8_001, 12_000,
  ];

  test('every product, pack, jar, method and band edge answers as the printed page, or is refused with a way out', () => {
    const wrong: unknown[] = [];
    let [tested, refused] = [0, 0];
    for (const { product } of PRODUCTS)
      for (const pack of ['hot', 'raw'])
        for (const jar of JAR_SIZES)
          for (const method of METHODS)
            for (const altitudeFt of EDGES) {
              const question = { product, pack, jar, method, altitudeFt };
              const answer = findProcess(question);
              const expected = printed(question);
              if (answer.kind === 'refusal') {
                refused += 1;
                if (expected !== undefined || answer.instead.length === 0) wrong.push({ question, expected, answer });
                continue;
              }
              tested += 1;
              const own = [answer.minutes, answer.pressurePsi].filter((part) => part !== undefined).join(' ');
              if (own !== expected) wrong.push({ question, expected, own });
            }
    expect(wrong.slice(0, 5)).toEqual([]);
    expect(tested + refused).toBe(PRODUCTS.length * 2 * 7 * 5 * EDGES.length);
    expect(tested).toBeGreaterThan(15_000);
  });

  test('any words and heights: never shorter higher up, steam within 45, dial within 8,000 ft, sterile jars under 10 min', () => {
    const words = (known: readonly string[]) =>
      fc.oneof({ weight: 9, arbitrary: fc.constantFrom(...known) }, { weight: 1, arbitrary: fc.string() });
    const question = fc.record({
      product: words([...PRODUCTS.map(({ product }) => product), 'pumpkin butter', 'elderberries']),
      pack: words(['hot', 'raw']),
      jar: words(JAR_SIZES),
      method: words([...METHODS, 'oven']),
    });
    const altitude = fc.double({ min: 0, max: 12_000, noNaN: true });
    fc.assert(
      fc.property(question, altitude, altitude, (asked, a, b) => {
        const low = findProcess({ ...asked, altitudeFt: Math.min(a, b) });
        const high = findProcess({ ...asked, altitudeFt: Math.max(a, b) });
        for (const [answer, altitudeFt] of [
          [low, Math.min(a, b)],
          [high, Math.max(a, b)],
        ] as const) {
          if (answer.kind === 'refusal') {
            expect(answer.reason).toMatch(/\S.*\.$/s);
            expect(answer.instead.length).toBeGreaterThan(0);
            continue;
          }
          for (const way of [answer, ...answer.alternatives]) {
            expect(way.sterilizeJars !== undefined).toBe(way.minutes < 10);
            expect(way.pressurePsi !== undefined).toBe(asked.method.startsWith('pressure'));
          }
          if (asked.method === 'steam') expect(answer.minutes).toBeLessThanOrEqual(45);
          if (asked.method === 'pressure-dial') expect(altitudeFt).toBeLessThanOrEqual(8_000);
          expect(answer.ventMinutes).toBe(asked.method.startsWith('pressure') ? 10 : undefined);
          expect(PRODUCTS.map(({ product }) => product)).toContain(asked.product);
        }
        if (low.kind === 'tested' && high.kind === 'tested') {
          expect(high.minutes).toBeGreaterThanOrEqual(low.minutes);
          expect(high.pressurePsi ?? 0).toBeGreaterThanOrEqual(low.pressurePsi ?? 0);
        }
      }),
      { numRuns: 2_000 },
    );
  });

  test('the strip of bands says what a kitchen in each of them is told', () => {
    for (const { product } of PRODUCTS) {
      for (const method of METHODS) {
        const question = { product, pack: 'hot', jar: 'pint', method };
        const row = findTestedRow(question);
        for (const altitudeFt of EDGES) {
          const answer = findProcess({ ...question, altitudeFt });
          const band = row.kind === 'refusal' ? row : bandAt(row, altitudeFt);
          expect([band.kind, 'minutes' in band && band.minutes]).toEqual([
            answer.kind,
            'minutes' in answer && answer.minutes,
          ]);
        }
      }
    }
  });
});

test.each([-1, -5_000, 12_001, 20_000, NaN, Infinity])('an altitude of %d ft is not answered', (altitudeFt) => {
  expect(() => findProcess({ ...crushedQuarts, altitudeFt })).toThrow(RangeError);
});
