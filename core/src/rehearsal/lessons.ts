import { type Canner } from '../canner/canner';
import { capacityOf } from '../canner/capacity';
import { batchOf } from '../day/batchOf';
import { type Batch } from '../day/batch';
import { type ProduceId } from '../handbook/produce';
import { type JarSize } from '../handbook/jars';
import { productRow, type ProductId } from '../handbook/products';
import { type Pick } from '../harvest/pick';
import { KG_PER_LB } from '../measure/amount';
import { type HouseholdPages } from '../process/findProcess';
import { type MishapKind } from './mishap';

interface LessonBatch {
  readonly product: ProductId;
  readonly crop: ProduceId;
  readonly jar: JarSize;
  readonly loads: readonly number[];
  readonly pounds: number;
  /** Which of the canners it goes into. */
  readonly canner: 0 | 1;
}

export interface Lesson {
  readonly id: string;
  readonly title: string;
  /** What is learned in it, for somebody who has never done it. */
  readonly words: string;
  readonly batches: readonly LessonBatch[];
  readonly canners: 1 | 2;
  readonly mishaps: readonly MishapKind[];
  /** Looked at before it begins. */
  readonly first: readonly string[];
}

/** From a first jam to a day with two canners. What is made, and how much of it, is common practice; the times are the handbook's. */
export const LESSONS: readonly Lesson[] = [
  {
    id: 'first-jam',
    title: 'A first jam',
    words: 'One pot of plum jam, one load. The order of things, and when the clock may start.',
    batches: [{ product: 'jam-with-pectin', crop: 'damson', jar: 'half-pint', loads: [8], pounds: 6, canner: 0 }],
    canners: 1,
    mishaps: [],
    first: [
      'Water goes on first: it takes longer than the jam.',
      'Jars are hot when the jam goes in.',
      'The clock starts when the water boils fully over the jars.',
    ],
  },
  {
    id: 'tomatoes',
    title: 'Tomatoes in quarts',
    words: 'Seven quarts with acid in every jar, the long time, and a boil that stops.',
    batches: [{ product: 'tomatoes-crushed', crop: 'tomato-paste', jar: 'quart', loads: [7], pounds: 22, canner: 0 }],
    canners: 1,
    mishaps: ['boil-lost'],
    first: [
      'Acid goes into every jar, the quart’s dose into quarts.',
      'Look into the pot now and then: a boil that stops is told at once.',
      'Then the whole time starts again.',
    ],
  },
  {
    id: 'two-loads',
    title: 'Beans in dill, two loads',
    words: 'Raw jars into water that is not too hot, one load after the other, a broken jar and somebody who calls.',
    batches: [{ product: 'dilled-beans', crop: 'bean-snap', jar: 'pint', loads: [8, 8], pounds: 9, canner: 0 }],
    canners: 1,
    mishaps: ['jar-broken', 'child-calls'],
    first: [
      'Raw jars crack in boiling water: after the first load it is cooled.',
      'A jar that broke is told, so that tomorrow’s lids are counted right.',
      'Whoever is called away leaves nothing on the fire unseen.',
    ],
  },
  {
    id: 'two-canners',
    title: 'Two canners in one day',
    words: 'Quarts of tomatoes and pints of plums at once: two clocks, two minutes, one pair of hands.',
    batches: [
      { product: 'tomatoes-crushed', crop: 'tomato-paste', jar: 'quart', loads: [7, 7], pounds: 44, canner: 0 },
      { product: 'plums', crop: 'damson', jar: 'pint', loads: [9], pounds: 12, canner: 1 },
    ],
    canners: 2,
    mishaps: ['boil-lost', 'power-cut'],
    first: [
      'Each canner has its own clock and its own minutes.',
      'What is hot goes in first.',
      'When the power goes, every boil is looked at again.',
    ],
  },
];

interface Ground {
  readonly altitudeFt: number;
  readonly canners: readonly Canner[];
  readonly startAt: number;
  readonly newId: () => string;
}

/**
 * The canners a lesson is done in: the household's own where they boil water and hold each of its loads, else as the handbook has
 * them.
 *
 * @param spare a canner of the handbook by its number, for what the household has not
 */
export function lessonCanners(
  { batches, canners }: Lesson,
  own: readonly Canner[],
  spare: (number: number) => Canner,
): readonly Canner[] {
  const chosen: Canner[] = [];
  for (let i = 0; i < canners; i++) {
    const asked = batches.filter(({ canner }) => canner === i);
    const holds = (canner: Canner) =>
      asked.every(({ jar, loads }) => {
        const capacity = capacityOf(canner, jar, { method: 'boiling-water' });
        return capacity.kind === 'holds' && loads.every((jars) => jars <= capacity.jars);
      });
    const fit = own.find((canner) => !canner.timesItself && !chosen.includes(canner) && holds(canner));
    chosen.push(fit ?? spare(i + 1));
  }
  return chosen;
}

/** The baskets and batches of a lesson in a kitchen: the times are looked up for its altitude, like any other. */
export function lessonDay(
  { batches }: Lesson,
  { altitudeFt, canners, startAt, newId }: Ground,
  pages: HouseholdPages = {},
): { readonly picks: readonly Pick[]; readonly batches: readonly Batch[] } {
  const made = batches.flatMap(({ product, crop, jar, loads, pounds, canner }) => {
    const massKg = pounds * KG_PER_LB;
    const pick: Pick = {
      ...{ id: newId(), crop, massKg, softKg: 0, ripeness: 'ripe', place: 'cool', source: 'garden', plantingId: null },
      ...{ pickedAt: startAt - 12 * 3_600_000, told: `${pounds} lb` },
    };
    const wish = {
      ...{ product: productRow(product), jar, loads, startAt, method: 'boiling-water' as const },
      cannerId: canners[canner]?.id ?? canners[0]?.id ?? '',
      uses: [{ pickId: pick.id, crop, massKg, softKg: 0 }],
    };
    const batch = batchOf(wish, { altitudeFt }, pages, newId);
    return batch ? [{ pick, batch }] : [];
  });
  return { picks: made.map(({ pick }) => pick), batches: made.map(({ batch }) => batch) };
}
