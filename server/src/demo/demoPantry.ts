import { format } from 'date-fns';
import { type Household } from '@hoddle/contract/household';
import { type Batch } from '@hoddle/core/day/batch';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { type ProductId } from '@hoddle/core/handbook/products';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { loadNow } from '@hoddle/core/kitchen/loadNow';
import { arrivalOf } from '@hoddle/core/pantry/arrival';
import { type JarLot, type Movement } from '@hoddle/core/pantry/jarLot';
import { bestBy } from '@hoddle/core/pantry/keepsUntil';
import { sealCheck } from '@hoddle/core/pantry/sealCheck';
import { type Priority, type ShelfGoal } from '@hoddle/core/pantry/shelfGoal';
import { type HardwareMove } from '@hoddle/core/supplies/hardware';
import { idOf } from './demoIds';

const HOUR = 60 * 60_000;
const DAY = 24 * HOUR;

export interface DemoPantry {
  readonly lots: JarLot[];
  readonly movements: Movement[];
  readonly goals: ShelfGoal[];
  readonly hardwareMoves: HardwareMove[];
}

/** Two shelves in the cellar, one in the kitchen, and what is kept for the fair. */
export function demoPlaces(demoNow: number): Household['places'] {
  return [
    { id: 'shelf', name: 'Cellar left', kind: 'shelf' },
    { id: idOf('cellar right'), name: 'Cellar right', kind: 'shelf' },
    { id: idOf('kitchen'), name: 'Kitchen', kind: 'shelf' },
    { id: 'refrigerator', name: 'Refrigerator', kind: 'refrigerator' },
    { id: 'freezer', name: 'Freezer', kind: 'freezer' },
    { id: idOf('fair'), name: 'Harvest fair', kind: 'aside', forDay: format(demoNow + 21 * DAY, 'yyyy-MM-dd') },
  ];
}

/** Jars that are left of what was made in a year, by how long ago that year's batches were: 0 is this year. Invented. */
const LEFT: Readonly<Partial<Record<ProductId, readonly [thisYear: number, lastYear: number, pastBest: number]>>> = {
  'tomatoes-crushed': [99, 3, 0],
  'tomatoes-whole-in-water': [99, 4, 0],
  'tomato-sauce-thin': [99, 9, 0],
  plums: [99, 5, 0],
  'jam-with-pectin': [99, 7, 0],
  'tomatillo-green-salsa': [99, 4, 0],
  'pickled-beets': [99, 3, 0],
  applesauce: [99, 2, 0],
  'dilled-beans': [99, 0, 3],
  'rhubarb-stewed': [9, 0, 0],
  'cherries-whole': [13, 0, 0],
};

/** Jars wanted for a year. Invented. */
// prettier-ignore
const GOALS: readonly (readonly [ProductId, JarSize, jars: number, Priority, perMonth?: number])[] = [
  ['tomatoes-crushed', 'quart', 42, 'staple', 4], ['tomato-sauce-thin', 'pint', 36, 'staple'], ['dilled-beans', 'pint', 30, 'want'],
  ['plums', 'pint', 22, 'want'], ['jam-with-pectin', 'half-pint', 48, 'gift'], ['tomatillo-green-salsa', 'pint', 12, 'want'],
  ['pickled-beets', 'pint', 18, 'want'], ['cherries-whole', 'pint', 20, 'want'], ['rhubarb-stewed', 'pint', 10, 'want'],
  ['applesauce', 'quart', 16, 'staple'],
];

/** What lay in the drawer when it was counted in June: about 140 jars, too few wide lids. Invented. */
const DRAWER: readonly Pick<HardwareMove, 'kind' | 'size' | 'mouth' | 'count'>[] = [
  { kind: 'jar', size: 'quart', mouth: 'regular', count: 52 },
  { kind: 'jar', size: 'pint', mouth: 'regular', count: 88 },
  { kind: 'jar', size: 'half-pint', mouth: 'regular', count: 34 },
  { kind: 'jar', size: 'quart', mouth: 'wide', count: 12 },
  { kind: 'lid', mouth: 'regular', count: 120 },
  { kind: 'lid', mouth: 'wide', count: 5 },
  { kind: 'band', mouth: 'regular', count: 60 },
  { kind: 'band', mouth: 'wide', count: 14 },
];

/** What became of every load on the towel, and how it went through the winters. */
export function demoPantry(demoNow: number, batches: readonly Batch[], events: readonly KitchenEvent[]): DemoPantry {
  const lots: JarLot[] = [];
  const movements: Movement[] = [];
  const places = demoPlaces(demoNow);
  for (const batch of batches) {
    for (const load of batch.loads) {
      const own = events.filter(({ loadId }) => loadId === load.id);
      const check = own.find((event) => event.type === 'seal-checked');
      if (check?.type !== 'seal-checked') continue;
      const { state: before } = loadNow(
        batch,
        load,
        batches,
        own.filter(({ id }) => id !== check.id),
      );
      const { lots: made, movements: stored } = sealCheck(batch, before, check);
      lots.push(...made.map((lot) => (lot.seal === 'sealed' ? { ...lot, place: placeFor(lot) } : lot)));
      movements.push(...stored);
    }
  }
  const chutney = boughtChutney(demoNow);
  lots.push(chutney);
  movements.push({ id: chutney.id, lotId: chutney.id, kind: 'stored', jars: 22, at: chutney.madeAt + DAY });
  movements.push(...wintered(lots, movements, demoNow));
  const across = carried(lots, movements, demoNow);
  for (const movement of across) {
    const lot = lots.find(({ id }) => id === movement.lotId);
    const arrival = lot && arrivalOf(lot, movement, places);
    if (arrival?.kind === 'lot') lots.push(arrival.lot);
    movements.push(movement);
  }
  return {
    lots,
    movements,
    goals: GOALS.map(([product, jar, jars, priority, perMonth = null]) => ({ product, jar, jars, perMonth, priority })),
    hardwareMoves: DRAWER.map((thing, i) => ({
      ...thing,
      id: idOf(`drawer ${i}`),
      way: 'found',
      at: demoNow - 80 * DAY,
    })),
  };
}

/** Jam stands in the kitchen, fruit at the right, all else at the left. */
function placeFor({ product }: JarLot): string {
  if (product === 'jam-with-pectin') return idOf('kitchen');
  return ['plums', 'cherries-whole', 'rhubarb-stewed', 'applesauce'].includes(product) ? idOf('cellar right') : 'shelf';
}

/** Too much of it, from a neighbour's kitchen. */
function boughtChutney(demoNow: number): JarLot {
  const madeAt = demoNow - 288 * DAY;
  return {
    id: idOf('chutney of the neighbours'),
    product: 'cranberry-orange-chutney',
    jar: 'half-pint',
    place: 'shelf',
    seal: 'sealed',
    madeAt,
    keepsUntil: bestBy(madeAt),
  };
}

/** Jars taken one by one, most of them in the cold months, a few given away, until as many are left as are left. */
function wintered(lots: readonly JarLot[], stored: readonly Movement[], demoNow: number): Movement[] {
  const left = new Map<string, number>();
  return [...lots]
    .sort((a, b) => b.madeAt - a.madeAt)
    .flatMap((lot) => {
      const made = stored.find(({ lotId }) => lotId === lot.id);
      if (!made) return [];
      const daysAgo = (demoNow - lot.madeAt) / DAY;
      const year = daysAgo < 100 ? 0 : daysAgo < 365 ? 1 : 2;
      const longGone = daysAgo > 430;
      const key = `${lot.product} ${year}`;
      const bought = lot.product === 'cranberry-orange-chutney' ? 20 : 0;
      const wanted = longGone ? 0 : (LEFT[lot.product]?.[year] ?? bought);
      const keeps = lot.seal === 'unsealed' ? 0 : Math.min(made.jars, left.get(key) ?? wanted);
      left.set(key, (left.get(key) ?? wanted) - keeps);
      const gone = made.jars - keeps;
      const days = takenOnDays(
        gone,
        made.at,
        lot.seal === 'unsealed' ? made.at + 5 * DAY : Math.min(demoNow, lot.madeAt + 330 * DAY),
      );
      return days.map((at, i): Movement => ({
        id: idOf(`gone ${i} ${lot.id}`),
        lotId: lot.id,
        kind: lot.seal === 'sealed' && i % 9 === 5 ? 'given' : 'taken',
        jars: 1,
        at,
      }));
    });
}

/** So many times between two, closer together in winter. */
function takenOnDays(count: number, from: number, until: number): number[] {
  const days = Array.from({ length: Math.max(1, Math.floor((until - from) / DAY)) }, (_, i) => from + (i + 0.4) * DAY);
  const weights = days.map((at) => 1 + 0.6 * Math.cos((new Date(at).getMonth() / 12) * 2 * Math.PI));
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  let passed = 0;
  let next = 0;
  return days.flatMap((at, i) => {
    passed += weights[i] ?? 0;
    const due: number[] = [];
    for (; next < count && passed >= ((next + 0.5) / count) * all; next++) due.push(Math.round(at + (next % 3) * HOUR));
    return due;
  });
}

/** A jar of jam opened last week, and two pints of cherries put by for the fair. */
function carried(lots: readonly JarLot[], movements: readonly Movement[], demoNow: number): Movement[] {
  const newest = (product: ProductId) =>
    lots.filter((lot) => lot.product === product && lot.seal === 'sealed').sort((a, b) => b.madeAt - a.madeAt)[0];
  const [jam, cherries] = [newest('jam-with-pectin'), newest('cherries-whole')];
  if (!jam || !cherries || movements.length === 0) return [];
  return [
    {
      id: idOf('jam opened'),
      lotId: jam.id,
      kind: 'opened',
      jars: 1,
      at: demoNow - 6 * DAY,
      intoLotId: idOf('open jam'),
      toPlace: 'refrigerator',
    },
    {
      id: idOf('cherries for the fair'),
      lotId: cherries.id,
      kind: 'moved',
      jars: 2,
      at: demoNow - 9 * DAY,
      intoLotId: idOf('fair cherries'),
      toPlace: idOf('fair'),
    },
  ];
}
