import { type JarSize } from '../handbook/jars';
import { type ProductId } from '../handbook/products';

export const MONTHS = 12;
const DAY_MS = 24 * 60 * 60_000;

/** What was used of a product two years ago counts half as much as what was used today: habits change. */
const HALF_LIFE_DAYS = 730;

/** What was used in one calendar month, over all years, what is long ago counting less. */
export interface MonthUse {
  readonly jars: number;
  /** Days on which there was any to use: an empty shelf says nothing of what would have been eaten. */
  readonly days: number;
}

/** How a household uses one product in one size of jar. */
export interface UseRecord {
  readonly product: ProductId;
  readonly jar: JarSize;
  /** January first. */
  readonly months: readonly MonthUse[];
  /** Jars put up in the year before now, as a first word on what a year takes. */
  readonly putUpInYear: number;
  /** Days of the year, 0 to 365, on which its lots of the last years were made; in order. */
  readonly madeOnDays: readonly number[];
}

interface DayOfUse {
  change: number;
  used: number;
}

/** Use of one product and size, gathered day by day, in whatever order it is told. */
export class UseBook {
  private readonly days = new Map<number, DayOfUse>();
  private readonly made = new Map<number, number>();

  /**
   * @param change jars more or fewer on the shelf
   * @param used jars of it that the household ate
   */
  add(at: number, change: number, used: number): void {
    const day = Math.floor(at / DAY_MS);
    const known = this.days.get(day) ?? { change: 0, used: 0 };
    this.days.set(day, { change: known.change + change, used: known.used + used });
  }

  /** Jars put up, or with minus taken back. */
  putUp(at: number, jars: number): void {
    const day = Math.floor(at / DAY_MS);
    this.made.set(day, (this.made.get(day) ?? 0) + jars);
  }

  /** What it comes to, seen from `now`. */
  record(product: ProductId, jar: JarSize, now: number): UseRecord {
    const today = Math.floor(now / DAY_MS);
    const months = Array.from({ length: MONTHS }, () => ({ jars: 0, days: 0 }));
    const sorted = [...this.days.keys()].filter((day) => day <= today).sort((a, b) => a - b);
    let stock = 0;
    for (const [i, day] of sorted.entries()) {
      const { change, used } = this.days.get(day) ?? { change: 0, used: 0 };
      const month = months[monthOf(day)];
      if (month) month.jars += Math.max(0, used) * weightOf(today - day);
      // The day itself counts where there was something at its start or at its end.
      const before = stock;
      stock += change;
      const until = sorted[i + 1] ?? today + 1;
      if (before > 0 || stock > 0) addDays(months, day, stock > 0 ? until : day + 1, today);
    }
    const made = [...this.made].filter(([day, jars]) => jars > 0 && day <= today);
    return {
      product,
      jar,
      months,
      putUpInYear: made.reduce((sum, [day, jars]) => sum + (today - day <= 365 ? jars : 0), 0),
      madeOnDays: made
        .filter(([day]) => today - day <= 5 * 366)
        .map(([day]) => dayOfYear(day))
        .sort((a, b) => a - b),
    };
  }
}

/** Days from `from` to before `until`, month by month: a shelf that is looked at after twenty years is read at once. */
function addDays(months: { jars: number; days: number }[], from: number, until: number, today: number): void {
  for (let day = from; day < until;) {
    const date = new Date(day * DAY_MS);
    const next = Math.min(until, Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + 1) / DAY_MS);
    const month = months[date.getUTCMonth()];
    if (month) month.days += (next - day) * weightOf(today - (day + next - 1) / 2);
    day = next;
  }
}

function weightOf(daysAgo: number): number {
  return 0.5 ** (daysAgo / HALF_LIFE_DAYS);
}

function monthOf(day: number): number {
  return new Date(day * DAY_MS).getUTCMonth();
}

function dayOfYear(day: number): number {
  const date = new Date(day * DAY_MS);
  return day - Date.UTC(date.getUTCFullYear(), 0) / DAY_MS;
}
