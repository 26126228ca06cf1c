import { type JarSize, quartsPerJar } from '../../handbook/jars';
import { type ProduceId } from '../../handbook/produce';
import { findProduct, type ProductRow } from '../../handbook/products';
import { waysToProcess } from '../../canner/waysToProcess';
import { timedUses } from '../../day/timedUses';
import { type LotEnd } from '../../harvest/lotChange';
import { seasonTally } from '../../harvest/seasonTally';
import { KG_PER_LB } from '../../measure/amount';
import { localDate } from '../../measure/localTime';
import { isNeverEaten } from '../../pantry/neverEaten';
import { nextCropAt } from '../../pantry/nextCrop';
import { type ShelfGoal } from '../../pantry/shelfGoal';
import { learnUse } from '../../pantry/useModel';
import { type UseRecord } from '../../pantry/useRecord';
import { coldPlaceOf } from '../../process/coldPlace';
import { yieldRange } from '../../yields/yieldRange';
import { givesOf, takesOf } from '../problem/byProductShares';
import { mainCrops, sharesOf } from '../problem/cropShares';
import { type SeasonHousehold } from '../problem/seasonOfHousehold';
import { goalKey } from '../problem/seasonProblem';
import { bedsGive } from './bedsGive';
import { MIDDLES, type SpringCrop, type SpringGoal, type SpringProblem } from './springProblem';

/** All of a household that its coming garden is worked out from. */
export interface SpringHousehold extends Pick<
  SeasonHousehold,
  'kitchen' | 'picks' | 'lotChanges' | 'plantings' | 'looks' | 'batches' | 'stocked' | 'goals' | 'pages' | 'learned'
> {
  /** Null where it is not set: then it is enough that some altitude has a tested time. */
  readonly altitudeFt: number | null;
  readonly use: readonly UseRecord[];
  /** Jars that this year still brings, by `goalKey`. */
  readonly coming: ReadonlyMap<string, number>;
  /** Goals nobody eats of that are to be grown for all the same, by `goalKey`. */
  readonly kept: ReadonlySet<string>;
}

/** A goal that the garden is not planned for, and why. */
export interface NotGrownFor extends Pick<ShelfGoal, 'product' | 'jar'> {
  readonly kind: 'never-eaten' | 'cannot-be-made' | 'no-yield';
  readonly reason: string;
  /** On the shelf now. */
  readonly jars: number;
}

export interface HouseholdSpring {
  /** Of which year's garden it speaks. */
  readonly year: number;
  readonly problem: SpringProblem;
  readonly notGrownFor: readonly NotGrownFor[];
}

/** From June on nobody sows for this year any more. Common practice. */
const LAST_SOWING_MONTH = 4;
/** When a crop that never grew here would come in: August. */
const USUAL_MONTH = 7;
const DAY_MS = 24 * 60 * 60_000;
const FRESH: readonly LotEnd[] = ['eaten', 'given-away'];
const LOST: readonly LotEnd[] = ['fed', 'composted', 'lost'];

/** Goals, use and yields of a household as a garden to plan that `planSpring` works out. */
export function springOfHousehold(household: SpringHousehold, now: number): HouseholdSpring {
  const year = springYear(now, household.kitchen.setup.timeZone);
  const grows = new Set(household.plantings.map(({ crop }) => crop));
  const asked = household.goals.filter(({ jars, perMonth }) => (jars ?? 0) > 0 || (perMonth ?? 0) > 0);
  const goals: SpringGoal[] = [];
  const notGrownFor: NotGrownFor[] = [];
  for (const goal of asked) {
    const record = household.use.find((each) => goalKey(each) === goalKey(goal));
    const found = goalOf(goal, record, household, { year, grows });
    if ('kind' in found) notGrownFor.push(found);
    else goals.push(found);
  }
  const uses = timedUses(household.batches);
  const taken = new Set([...goals.flatMap(({ shares }) => shares.map(({ crop }) => crop)), ...grows]);
  return {
    year,
    problem: { now, goals, crops: [...taken].map((crop) => cropOf(crop, household, uses, now)) },
    notGrownFor,
  };
}

/** The year whose spring is being lived or comes next. */
export function springYear(now: number, timeZone: string | undefined): number {
  const date = localDate(now, timeZone);
  return date.getFullYear() + (date.getMonth() > LAST_SOWING_MONTH ? 1 : 0);
}

function goalOf(
  { product, jar, jars, perMonth, priority }: ShelfGoal,
  record: UseRecord | undefined,
  household: SpringHousehold,
  { year, grows }: { readonly year: number; readonly grows: ReadonlySet<ProduceId> },
): SpringGoal | NotGrownFor {
  const { altitudeFt, kitchen, pages, plantings, kept } = household;
  const here = household.stocked
    .filter((lot) => lot.product === product && lot.jar === jar && lot.seal !== 'opened' && lot.placeKind !== 'aside')
    .reduce((sum, lot) => sum + lot.jars, 0);
  const not = (kind: NotGrownFor['kind'], reason: string): NotGrownFor => ({ product, jar, kind, reason, jars: here });
  const row = findProduct(product);
  if (!row) return not('cannot-be-made', 'It is not in the handbook.');
  if (!coldPlaceOf(row.product, pages)) {
    const { tested, served } = waysToProcess({ ...kitchen, altitudeFt }, row, jar, pages);
    if (tested.length === 0) return not('cannot-be-made', 'No tested process for that jar at this altitude.');
    // Without any canner yet, one is bought before the harvest.
    if (served.length === 0 && kitchen.canners.length > 0) {
      return not('cannot-be-made', 'No canner here does what it is tested for.');
    }
  }
  if (priority !== 'gift' && record && here > 0 && isNeverEaten(record) && !kept.has(goalKey({ product, jar }))) {
    return not('never-eaten', 'It has stood there for most of a year and none was eaten.');
  }
  const shares = sharesFor(row, jar, grows, household);
  const [main] = shares;
  if (!main) return not('no-yield', 'No yield is published for it.');
  const middle = { crop: main.crop, kgPerJar: main.kgPerJar[MIDDLES.length >> 1] ?? 0 };
  const [gives, takes] = [givesOf(product, middle), takesOf(product, jar, middle)];
  return {
    ...{ product, jar, want: jars, shares },
    have: here + (household.coming.get(goalKey({ product, jar })) ?? 0),
    use: learnUse(record, perMonth ?? undefined),
    usedDays: (record?.months ?? []).reduce((sum, { days }) => sum + days, 0),
    gift: priority === 'gift',
    cropAt: nextCropAt(product, record, plantings, Date.UTC(year, 0) - DAY_MS) ?? Date.UTC(year, USUAL_MONTH),
    ...(gives && { gives }),
    ...(takes && { takes }),
  };
}

/** What a jar takes: of the crops that lead it the one that grows here, or the first; with all that its card adds. */
function sharesFor(
  row: ProductRow,
  jar: JarSize,
  grows: ReadonlySet<ProduceId>,
  { learned }: Pick<SpringHousehold, 'learned'>,
): SpringGoal['shares'] {
  const led = mainCrops(row).filter((crop) => yieldRange(row.product, crop, learned));
  const main = led.find((crop) => grows.has(crop)) ?? led[0];
  if (!main) return [];
  const range = yieldRange(row.product, main, learned);
  const all = sharesOf(row, main, jar, undefined, learned, 0.5) ?? [];
  const usual = all[0]?.kgPerJar ?? 0;
  const middles = MIDDLES.map((chance) => (range?.atMost(chance) ?? 0) * quartsPerJar(jar) * KG_PER_LB);
  return all.map(({ crop, kgPerJar }, i) => ({
    crop,
    // What a card adds goes with what it is led by.
    kgPerJar: i === 0 ? middles : middles.map((kg) => (kg * kgPerJar) / usual),
  }));
}

function cropOf(
  crop: ProduceId,
  household: SpringHousehold,
  uses: ReturnType<typeof timedUses>,
  now: number,
): SpringCrop {
  const { picks, lotChanges, plantings, looks } = household;
  const own = picks.filter((pick) => pick.crop === crop && !pick.of);
  const tally = seasonTally(own, uses, lotChanges, -Infinity, now)[0];
  const years = new Set(own.map(({ pickedAt }) => localDate(pickedAt, household.kitchen.setup.timeZone).getFullYear()));
  const sum = (ends: readonly LotEnd[]) => ends.reduce((kg, end) => kg + (tally?.ended[end] ?? 0), 0);
  const cameInKg = tally?.cameInKg ?? 0;
  return {
    crop,
    ...bedsGive(crop, { plantings, picks: picks.filter(({ of }) => !of), looks }, now),
    freshKg: years.size === 0 ? 0 : sum(FRESH) / years.size,
    lostPart: cameInKg > 0 ? Math.min(0.5, sum(LOST) / cameInKg) : 0,
  };
}
