import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { type Canner } from '../../src/canner/canner';
import { handbookCanner } from '../../src/canner/handbookCanner';
import { splitLoads } from '../../src/canner/splitLoads';
import { firstWay, waysToProcess } from '../../src/canner/waysToProcess';
import { widestCanner } from '../../src/canner/widestCanner';
import { type Batch } from '../../src/day/batch';
import { batchOf } from '../../src/day/batchOf';
import { type Cook, type KitchenSetup, USUAL_KITCHEN } from '../../src/day/kitchenSetup';
import { proposeDay } from '../../src/day/proposeDay';
import { type DayQuestion } from '../../src/day/questionOfDay';
import { takeForRecipe } from '../../src/day/takeForRecipe';
import { CANNERS } from '../../src/handbook/canners';
import { type JarSize } from '../../src/handbook/jars';
import { PRODUCE, type ProduceId } from '../../src/handbook/produce';
import { productRow, type ProductRow } from '../../src/handbook/products';
import { onHand } from '../../src/harvest/onHand';
import { type Pick } from '../../src/harvest/pick';
import { KG_PER_LB } from '../../src/measure/amount';
import { type BatchRecord } from '../../src/yields/batchRecord';
import { learnYields } from '../../src/yields/yieldModel';

const NOW = Date.UTC(2026, 7, 29, 8);
const HOUR_MS = 3_600_000;

/** Pounds of a crop that came in, and what the household makes of it where it has made something before. */
type Come = readonly [crop: ProduceId, pounds: number, made?: readonly [product: ProductRow['product'], jar: JarSize]];

interface Kitchen {
  readonly canners: readonly Canner[];
  readonly cooks: readonly Cook[];
  readonly altitudeFt: number;
  readonly startMinute: number;
}

/** What the app proposes for produce on hand, in whole loads, each crop in the way its kitchen serves first. */
export function proposedQuestion(
  come: readonly Come[],
  { canners, cooks, altitudeFt, startMinute }: Kitchen,
): DayQuestion {
  const household = { canners, altitudeFt, ownJars: [] };
  const picks = come.map(([crop, pounds], k): Pick => ({
    ...{ id: `pick ${k}`, crop, massKg: pounds * KG_PER_LB, softKg: 0, ripeness: 'ripe', place: 'counter' },
    ...{ pickedAt: NOW - HOUR_MS, told: '', source: 'garden', plantingId: null },
  }));
  const lots = onHand(picks, []);
  const learned = learnYields([], NOW);
  const vesselFor = (product: ProductRow, jar: JarSize) => {
    const ways = waysToProcess(household, product, jar, {});
    if (ways.served.length === 0) return undefined;
    const method = firstWay(ways);
    const { canner, capacity } = widestCanner(household, jar, method);
    return canner && capacity?.kind === 'holds' ? { canner, method, perLoad: capacity.jars } : undefined;
  };
  // Only what was made of which crop, and in which jars, is looked at.
  const records = come.flatMap(([crop, , made]) =>
    made ? [{ crop, product: made[0], jars: [{ jar: made[1], count: 7 }], madeAt: NOW } as unknown as BatchRecord] : [],
  );
  const proposals = proposeDay(lots, {
    ...{ records, learned, now: NOW },
    perLoad: (product, jar) => vesselFor(product, jar)?.perLoad,
  });
  const batches = proposals.flatMap(({ crop, product, jar, jars }, b): Batch[] => {
    const row = productRow(product);
    const vessel = vesselFor(row, jar);
    if (!vessel) return [];
    const mainLots = lots.filter((lot) => lot.crop === crop);
    const { uses } = takeForRecipe({ product, crop, jar, jars, mainLots, lots, learned });
    const wish = {
      ...{ product: row, jar, method: vessel.method, cannerId: vessel.canner.id },
      ...{ loads: splitLoads(jars, vessel.perLoad, 'full'), uses, startAt: NOW },
    };
    const batch = batchOf(wish, household, {}, (of) => `${of} of ${b}`);
    return batch ? [batch] : [];
  });
  const setup: KitchenSetup = { ...USUAL_KITCHEN, refrigeratorLb: 150, cooks };
  return { batches, canners, setup, startMinute, seed: 1 };
}

const at = (hour: number, minute = 0) => 60 * hour + minute;

function cannerCalled(name: string): Canner {
  const row = CANNERS.find(({ canner }) => canner === name);
  if (!row) throw new RangeError(`no canner ${name} in the handbook`);
  return handbookCanner(row, { id: name, name });
}

/** What lies on the holding of the demo on its first day, in the demo's kitchen. */
export function demoQuestion(): DayQuestion {
  const chores = [at(6, 30), at(17)].map((fromMin) => ({ fromMin, toMin: fromMin + 60, atHome: false }));
  const dinner = { fromMin: at(18, 30), toMin: at(19, 15), atHome: true };
  return proposedQuestion(
    [
      ['tomato-paste', 68, ['tomatoes-crushed', 'quart']],
      ['damson', 19, ['plums', 'pint']],
      ['bean-snap', 9, ['dilled-beans', 'pint']],
    ],
    {
      canners: [cannerCalled('21-quart enamel'), cannerCalled('atmospheric steam pan')],
      altitudeFt: 3_420,
      startMinute: at(8),
      cooks: [
        { name: 'Cook', fromMin: at(5, 30), toMin: at(22), breaks: [...chores, dinner] },
        { name: 'Helper', fromMin: at(13), toMin: at(17), breaks: [] },
      ],
    },
  );
}

const GROWN = PRODUCE.map(({ crop }) => crop);

/** Canners of a made kitchen: two or three, of different methods. */
const KITCHENS = [
  ['21-quart enamel', 'atmospheric steam pan'],
  ['21-quart enamel', '33-quart enamel', 'atmospheric steam pan'],
  ['33-quart enamel', '16-quart pressure canner'],
  ['21-quart enamel', 'tall narrow stock pot', '23-quart pressure canner'],
] as const;

const LEAST = { loads: 4, tasks: 50 };
const MOST = { loads: 8, tasks: 100 };

/**
 * A day like the demo's first, of a seed: two to four crops of the handbook as they come, four to eight loads, 50 to 100
 * tasks, a cook with chores and meals, a helper for some hours. What falls outside is drawn again; nothing else is.
 */
export function madeQuestion(seed: number, tasksOf: (question: DayQuestion) => number): DayQuestion {
  const random = xoroshiro128plus(seed);
  const int = (from: number, to: number) => uniformInt(random, from, to);
  const oneOf = <Item>(all: readonly Item[]) => all[int(0, all.length - 1)] as Item;
  for (let tries = 0; tries < 2_000; tries++) {
    const crops = Array.from({ length: int(2, 4) }, (): Come => [oneOf(GROWN), int(8, 60)]);
    const come = crops.filter(([crop], k) => crops.findIndex(([other]) => other === crop) === k);
    const noon = { fromMin: at(12, 15 * int(0, 3)), toMin: at(13, 15 * int(0, 3)), atHome: true };
    const chores = { fromMin: at(17, 15 * int(0, 3)), toMin: at(18, 15 * int(0, 3)), atHome: false };
    const comes = int(9, 14);
    const question = proposedQuestion(come, {
      canners: oneOf(KITCHENS).map(cannerCalled),
      altitudeFt: 500 * int(0, 10),
      startMinute: at(8),
      cooks: [
        { name: 'Cook', fromMin: at(6), toMin: at(22), breaks: [noon, chores] },
        { name: 'Helper', fromMin: at(comes), toMin: at(comes + int(3, 6)), breaks: [] },
      ],
    });
    const loads = question.batches.reduce((sum, batch) => sum + batch.loads.length, 0);
    const tasks = loads === 0 ? 0 : tasksOf(question);
    if (loads >= LEAST.loads && loads <= MOST.loads && tasks >= LEAST.tasks && tasks <= MOST.tasks) return question;
  }
  throw new RangeError(`no day of seed ${seed} is as large as asked`);
}
