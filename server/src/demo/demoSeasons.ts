import { type Batch } from '@hoddle/core/day/batch';
import { type JarSize, quartsPerJar } from '@hoddle/core/handbook/jars';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { type ProductId, productRow } from '@hoddle/core/handbook/products';
import { usualPack } from '@hoddle/core/handbook/usualPack';
import { type LotChange } from '@hoddle/core/harvest/lotChange';
import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { findProcess } from '@hoddle/core/process/findProcess';
import { plannedProcess } from '@hoddle/core/process/plannedProcess';
import { type BatchRecord, NOTHING_MORE } from '@hoddle/core/yields/batchRecord';
import { printedYield } from '@hoddle/core/yields/printedYield';
import { plantingOf } from './demoGarden';
import { idOf } from './demoIds';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
const ALTITUDE_FT = 3_420;

export interface DemoSeasons {
  readonly picks: HarvestPick[];
  readonly lotChanges: LotChange[];
  readonly batches: Batch[];
  readonly events: KitchenEvent[];
  readonly batchRecords: BatchRecord[];
}

/** Days before the demo's Saturday, pounds picked, what they became. Invented. */
type Row = readonly [daysAgo: number, ProduceId, lb: number, ProductId | 'eaten' | 'given-away' | 'fed', JarSize?];

const YEAR = 365;

// One picking a line.
// prettier-ignore
const ROWS: readonly Row[] = [
  [2 * YEAR + 58, 'rhubarb', 14, 'rhubarb-stewed', 'pint'], [2 * YEAR + 44, 'cherry-sour', 22, 'cherries-whole', 'pint'],
  [2 * YEAR + 26, 'bean-snap', 12, 'dilled-beans', 'pint'], [2 * YEAR + 18, 'bean-snap', 11, 'eaten'],
  [2 * YEAR + 8, 'tomato-paste', 38, 'tomatoes-crushed', 'quart'], [2 * YEAR - 1, 'tomato-paste', 66, 'tomato-sauce-thin', 'pint'],
  [2 * YEAR - 3, 'damson', 34, 'jam-with-pectin', 'half-pint'], [2 * YEAR - 9, 'tomato-paste', 84, 'tomatoes-crushed', 'quart'],
  [2 * YEAR - 11, 'damson', 29, 'plums', 'pint'], [2 * YEAR - 17, 'tomato-paste', 76, 'tomato-sauce-thin', 'pint'],
  [2 * YEAR - 24, 'tomato-paste', 52, 'tomatoes-whole-in-water', 'quart'], [2 * YEAR - 33, 'apple', 41, 'applesauce', 'quart'],
  [2 * YEAR - 36, 'tomato-paste', 22, 'given-away'],
  [YEAR + 60, 'rhubarb', 16, 'rhubarb-stewed', 'pint'], [YEAR + 45, 'cherry-sour', 27, 'cherries-whole', 'pint'],
  [YEAR + 40, 'gooseberry', 18, 'eaten'],
  [YEAR + 24, 'bean-snap', 14, 'dilled-beans', 'pint'], [YEAR + 15, 'bean-snap', 12, 'eaten'],
  [YEAR + 12, 'tomato-paste', 30, 'tomatoes-crushed', 'quart'], [YEAR + 4, 'tomato-paste', 58, 'tomatoes-crushed', 'quart'],
  [YEAR - 4, 'tomato-paste', 88, 'tomato-sauce-thin', 'pint'], [YEAR - 5, 'damson', 41, 'jam-with-pectin', 'half-pint'],
  [YEAR - 11, 'tomato-paste', 96, 'tomatoes-crushed', 'quart'], [YEAR - 13, 'damson', 30, 'plums', 'pint'],
  [YEAR - 18, 'tomato-paste', 70, 'tomato-sauce-thin', 'pint'], [YEAR - 20, 'tomatillo', 8, 'tomatillo-green-salsa', 'pint'],
  [YEAR - 26, 'tomato-paste', 48, 'tomatoes-whole-in-water', 'quart'], [YEAR - 34, 'beet', 24, 'pickled-beets', 'pint'],
  [YEAR - 36, 'apple', 56, 'applesauce', 'quart'], [YEAR - 38, 'tomato-paste', 19, 'fed'],
  [62, 'rhubarb', 13, 'rhubarb-stewed', 'pint'], [43, 'cherry-sour', 31, 'cherries-whole', 'pint'],
  [39, 'gooseberry', 21, 'given-away'], [25, 'bean-snap', 13, 'dilled-beans', 'pint'], [16, 'bean-snap', 10, 'eaten'],
  [13, 'tomato-paste', 18, 'tomatoes-crushed', 'quart'], [6, 'tomato-paste', 47, 'tomato-sauce-thin', 'pint'],
];

/** How this kitchen differs from the printed pounds a quart: thicker sauce, 15 % fewer; damson jam 8 % more jars. Invented. */
const MORE_POUNDS: Partial<Record<ProductId, number>> = {
  'tomato-sauce-thin': 1 / 0.85,
  'jam-with-pectin': 1 / 1.08,
  'tomatoes-crushed': 1.05,
};
/** Batches of one product are not all alike. Invented. */
const UNLIKE = [1.05, 0.94, 1.01, 1.08, 0.93, 1.02, 0.97];
const NOTES = ['', '', 'A little thin.', '', 'Two floated.', '', 'Good colour.'];

/** Two earlier seasons and this one so far: what was picked, what it became, and how many jars came of it. */
export function demoSeasons(demoNow: number, cannerId: string): DemoSeasons {
  const all: DemoSeasons = { picks: [], lotChanges: [], batches: [], events: [], batchRecords: [] };
  for (const [n, [daysAgo, crop, lb, became, jar]] of ROWS.entries()) {
    const pickedAt = demoNow - daysAgo * DAY + HOUR;
    const pick = pickOf(`${crop} ${daysAgo}`, crop, lb, pickedAt);
    all.picks.push(pick);
    if (jar === undefined) {
      all.lotChanges.push(endOf(pick, became as 'eaten'));
      continue;
    }
    const product = became as ProductId;
    const { batch, record } = batchOf(pick, product, jar, n, cannerId);
    all.batches.push(batch);
    all.events.push(...batch.loads.flatMap((load, i) => eventsOf(batch, load.id, load.jars, i)));
    all.batchRecords.push(record);
  }
  return all;
}

function pickOf(words: string, crop: ProduceId, lb: number, pickedAt: number): HarvestPick {
  return {
    id: idOf(`pick ${words}`),
    crop,
    massKg: lb * KG_PER_LB,
    softKg: 0,
    ripeness: 'ripe',
    place: 'cool',
    pickedAt,
    told: `${lb} lb`,
    source: 'garden',
    plantingId: plantingOf(crop),
  };
}

function endOf(pick: HarvestPick, kind: 'eaten' | 'given-away' | 'fed'): LotChange {
  const { id, massKg, pickedAt } = pick;
  return {
    id: idOf(`end of ${id}`),
    pickId: id,
    part: 'sound',
    from: 'cool',
    kind,
    to: null,
    massKg,
    at: pickedAt + DAY,
  };
}

function batchOf(pick: HarvestPick, product: ProductId, jar: JarSize, n: number, cannerId: string) {
  const id = idOf(`batch of ${pick.id}`);
  const printed = printedYield(product, pick.crop);
  if (!printed) throw new RangeError(`nothing printed for ${product} of ${pick.crop}`);
  const lbPerQuart = printed.medianLbPerQuart * (MORE_POUNDS[product] ?? 1) * (UNLIKE[n % UNLIKE.length] ?? 1);
  const jars = pick.massKg / KG_PER_LB / lbPerQuart / quartsPerJar(jar);
  const count = Math.floor(jars);
  const question = {
    product,
    pack: usualPack(productRow(product)),
    jar,
    method: 'boiling-water',
    altitudeFt: ALTITUDE_FT,
  } as const;
  const tested = findProcess(question);
  if (tested.kind === 'refusal') throw new RangeError(`${product} in ${jar}: ${tested.reason}`);
  const perLoad = jar === 'quart' ? 7 : 9;
  const startAt = pick.pickedAt + 2 * HOUR;
  const batch: Batch = {
    ...question,
    id,
    processMinutes: plannedProcess(tested).minutes,
    cannerId,
    startAt,
    recipe: printed.card?.card.card,
    uses: [{ pickId: pick.id, crop: pick.crop, massKg: pick.massKg, softKg: 0 }],
    loads: Array.from({ length: Math.ceil(count / perLoad) }, (_, i) => ({
      id: idOf(`load ${i} of ${id}`),
      number: i + 1,
      jars: Math.min(perLoad, count - i * perLoad),
    })),
  };
  const part = Math.floor((jars - count) * 4) / 4;
  const record: BatchRecord = {
    id: idOf(`record of ${id}`),
    batchId: id,
    product,
    crop: pick.crop,
    massKg: pick.massKg,
    waterMl: 0,
    sugarKg: 0,
    jars: [{ jar, count }],
    partJar: part > 0 ? { jar, part } : null,
    madeAt: startAt + 8 * HOUR,
    note: NOTES[n % NOTES.length] ?? '',
    ...NOTHING_MORE,
    learnFrom: true,
  };
  return { batch, record };
}

/** A load from the canner to the shelf; one lid in fifty or so did not seal. */
function eventsOf(batch: Batch, loadId: string, jars: number, loadIndex: number): KitchenEvent[] {
  const startAt = batch.startAt + 2 * HOUR + loadIndex * (batch.processMinutes + 35) * MINUTE;
  const at = (minutes: number) => startAt + minutes * MINUTE;
  const own = (type: string) => ({ id: idOf(`${type} ${loadId}`), loadId });
  const offAt = 22 + batch.processMinutes;
  const hasUnsealed = loadId.charCodeAt(0) % 7 === 0;
  return [
    { ...own('started'), type: 'load-started', at: at(0), jars },
    { ...own('boil'), type: 'boil-reached', at: at(22) },
    { ...own('off'), type: 'heat-off', at: at(offAt) },
    { ...own('out'), type: 'jars-out', at: at(offAt + 5) },
    {
      ...own('sealed'),
      type: 'seal-checked',
      at: at(offAt + 5) + 15 * HOUR,
      sealed: Array.from({ length: jars }, (_, i) => !(hasUnsealed && i === 0)),
      sealedLotId: idOf(`sealed lot of ${loadId}`),
      unsealedLotId: idOf(`unsealed lot of ${loadId}`),
    },
  ];
}
