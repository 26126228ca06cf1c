import { type JarSize } from '../../handbook/jars';
import { type ProductId } from '../../handbook/products';
import { LOT_ENDS, type LotChange, type LotEnd } from '../../harvest/lotChange';
import { type TimedUse } from '../../harvest/onHand';
import { type Pick } from '../../harvest/pick';
import { seasonTally } from '../../harvest/seasonTally';
import { type DayEvent } from '../../kitchen/dayEvent';
import { dayState } from '../../kitchen/dayState';
import { localDate, localMoment } from '../../measure/localTime';
import { type ShelfGoal } from '../../pantry/shelfGoal';
import { type BatchRecord } from '../../yields/batchRecord';

/** What one year came to. */
export interface YearBack {
  readonly year: number;
  readonly cameInKg: number;
  /** Into jars, eaten fresh, frozen, given away and sold: all but what spoiled. */
  readonly savedKg: number;
  readonly savedPart: number;
  readonly jars: number;
  readonly byProduct: readonly { readonly product: ProductId; readonly jar: JarSize; readonly jars: number }[];
  /** Hours between the first and the last tap of its preserving days; none where no day was run here. */
  readonly hours: number;
  /** Goals of today that this year's jars alone would have filled. */
  readonly goalsMet: number;
  readonly goals: number;
}

/** No preserving day is longer: what is left open was forgotten. */
const LONGEST_DAY_MS = 18 * 60 * 60_000;

/** Year beside year, the oldest first: pounds in, jars out, hours, and what was saved of it. By the local calendar. */
export function lookBack(
  picks: readonly Pick[],
  uses: readonly TimedUse[],
  changes: readonly LotChange[],
  records: readonly BatchRecord[],
  dayEvents: readonly DayEvent[],
  goals: readonly ShelfGoal[],
  timeZone?: string,
): YearBack[] {
  const yearOf = (at: number) => localDate(at, timeZone).getFullYear();
  const years = new Set([
    ...picks.map(({ pickedAt }) => yearOf(pickedAt)),
    ...records.map(({ madeAt }) => yearOf(madeAt)),
  ]);
  const wanted = goals.filter(({ jars }) => (jars ?? 0) > 0);
  return [...years]
    .sort((a, b) => a - b)
    .map((year): YearBack => {
      const [from, until] = [localMoment(timeZone, [year, 0, 1]), localMoment(timeZone, [year + 1, 0, 1])];
      const tallies = seasonTally(picks, uses, changes, from, until);
      const cameInKg = tallies.reduce((sum, each) => sum + each.cameInKg, 0);
      const lostKg = tallies.reduce(
        (sum, { ended }) =>
          sum + LOT_ENDS.filter((end) => LOST.includes(end)).reduce((all, end) => all + ended[end], 0),
        0,
      );
      const byProduct = jarsOf(records.filter(({ madeAt }) => yearOf(madeAt) === year));
      const made = (goal: ShelfGoal) =>
        byProduct.find(({ product, jar }) => product === goal.product && jar === goal.jar)?.jars ?? 0;
      return {
        year,
        cameInKg,
        savedKg: cameInKg - lostKg,
        savedPart: cameInKg > 0 ? (cameInKg - lostKg) / cameInKg : 1,
        jars: byProduct.reduce((sum, { jars }) => sum + jars, 0),
        byProduct,
        hours: hoursOf(dayEvents.filter(({ at }) => yearOf(at) === year)),
        goalsMet: wanted.filter((goal) => made(goal) >= (goal.jars ?? 0)).length,
        goals: wanted.length,
      };
    });
}

/** Ends of a lot in which nobody had anything of it. */
const LOST: readonly LotEnd[] = ['fed', 'lost'];

function jarsOf(records: readonly BatchRecord[]): YearBack['byProduct'] {
  const jars = new Map<string, { product: ProductId; jar: JarSize; jars: number }>();
  for (const record of records) {
    for (const { jar, count } of record.jars) {
      const key = `${record.product} ${jar}`;
      const known = jars.get(key) ?? { product: record.product, jar, jars: 0 };
      jars.set(key, { ...known, jars: known.jars + count });
    }
  }
  return [...jars.values()].sort((a, b) => b.jars - a.jars);
}

function hoursOf(events: readonly DayEvent[]): number {
  const days = [...new Set(events.map(({ day }) => day))];
  return days.reduce((sum, day) => {
    const { startedAt, closedAt, lastAt } = dayState(events.filter((event) => event.day === day));
    const end = closedAt ?? lastAt;
    if (startedAt === undefined || end === undefined) return sum;
    return sum + Math.min(LONGEST_DAY_MS, Math.max(0, end - startedAt)) / 3_600_000;
  }, 0);
}
