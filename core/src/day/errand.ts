import { type Break, type Cook } from './kitchenSetup';

/** What somebody does besides preserving on a day of the plan: an errand, chores, a meal. */
export interface Errand extends Omit<Break, 'weekdays'> {
  readonly id: string;
  readonly cook: string;
}

/** What was told of errands for the dates of one plan alone. */
export interface ErrandsTold {
  /** New, or in place of the one with its id. `day`: days after the plan's first one, 0 unless said. */
  readonly set: readonly (Errand & { readonly day?: number })[];
  /** Left out; by id. */
  readonly struck: readonly { readonly id: string; readonly day?: number }[];
}

const NOTHING_TOLD: ErrandsTold = { set: [], struck: [] };
const DAYS_A_WEEK = 7;

/** What one that is repeated is called: it is told apart by whose it is and when. */
export function repeatedId(cook: string, { fromMin, toMin, minutes }: Break): string {
  return `${cook} ${fromMin}-${toMin}${minutes === undefined ? '' : ` ${minutes}`}`;
}

/**
 * What the cooks do besides preserving on one day of a plan: what is repeated on such a weekday, as far as nothing else was told for
 * that day.
 *
 * @param weekday of the plan's first day, 0 Sunday; where it is not known, what is done on some weekdays only is left out
 * @param day days after the first one
 */
export function errandsOn(
  cooks: readonly Cook[],
  { weekday, errands = NOTHING_TOLD }: { readonly weekday?: number; readonly errands?: ErrandsTold },
  day: number,
): Errand[] {
  const today = weekday === undefined ? undefined : (weekday + day) % DAYS_A_WEEK;
  const isToday = ({ weekdays }: Break) => !weekdays || (today !== undefined && weekdays.includes(today));
  const isOf = (told: { readonly day?: number }) => (told.day ?? 0) === day;
  const told = errands.set.filter(isOf).filter(({ cook }) => cooks.some(({ name }) => name === cook));
  const gone = new Set([...told, ...errands.struck.filter(isOf)].map(({ id }) => id));
  const repeated = cooks.flatMap(({ name, breaks }) =>
    breaks
      .filter(isToday)
      .map(({ weekdays: _, ...own }): Errand => ({ ...own, id: repeatedId(name, own), cook: name })),
  );
  const struck = new Set(errands.struck.filter(isOf).map(({ id }) => id));
  return [...repeated.filter(({ id }) => !gone.has(id)), ...told.filter(({ id }) => !struck.has(id))];
}

/** How long it takes. */
export function errandMinutes({ fromMin, toMin, minutes = toMin - fromMin }: Errand): number {
  return Math.min(minutes, toMin - fromMin);
}

/**
 * The part of an errand's time that lies within the hours of its cook, where it fits in there with time to spare; undefined for one
 * that stands where it stands.
 */
export function windowOf(
  errand: Errand,
  { fromMin, toMin }: Pick<Cook, 'fromMin' | 'toMin'>,
): { readonly fromMin: number; readonly toMin: number } | undefined {
  const from = Math.max(errand.fromMin, fromMin);
  const to = Math.min(errand.toMin, toMin);
  return to - from > errandMinutes(errand) ? { fromMin: from, toMin: to } : undefined;
}

/** When an errand that nothing moves takes place: with least of it in the hours of its cook, and as told where it can only be so. */
export function fixedTime(errand: Errand, cook: Pick<Cook, 'fromMin' | 'toMin'>): readonly [from: number, to: number] {
  const minutes = errandMinutes(errand);
  const isLate = errand.toMin > cook.toMin;
  return isLate ? [errand.toMin - minutes, errand.toMin] : [errand.fromMin, errand.fromMin + minutes];
}
