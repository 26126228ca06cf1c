import { inZone } from '@/store/householdZone';
import { JARS } from '@hoddle/core/handbook/jars';
import { type EatNext, type EatReason } from '@hoddle/core/pantry/eatNext';
import { type JarLot, type MovementKind } from '@hoddle/core/pantry/jarLot';
import { type Range } from '@hoddle/core/math/range';
import { readyFrom } from '@hoddle/core/pantry/keepsUntil';
import { type PantryPlace } from '@hoddle/core/pantry/place';
import { type StockedLot } from '@hoddle/core/pantry/shelf';
import { recipeName } from '@hoddle/core/recipe/recipeName';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { dayAndDate, monthAndYear } from '@/ui/clockWords';

/** "mid Feb", "early Mar", "late Dec 2027": a third of a month is as near as a forecast is. */
export function aboutWhen(at: number, now: number): string {
  const day = inZone(at).getDate();
  const third = day <= 10 ? 'early' : day <= 20 ? 'mid' : 'late';
  const far = at - now > 300 * 24 * 60 * 60_000;
  return `${third} ${format(inZone(at), far ? 'MMM yyyy' : 'MMM')}`;
}

/** "enough until mid Feb", or for years. */
export function lastsWords(at: Range, now: number): string {
  return at.p50 === Infinity ? 'enough for 3 years and more' : `enough until ${aboutWhen(at.p50, now)}`;
}

/** "mid Jan to mid Mar". */
export function rangeWords({ p10, p90 }: Range, now: number): string {
  const until = p90 === Infinity ? 'years from now' : aboutWhen(p90, now);
  return p10 === Infinity ? 'years from now' : `${aboutWhen(p10, now)} to ${until}`;
}

/** How a lot keeps, with its word where it is past. */
export function keepsWords(lot: StockedLot, now: number): string {
  const past = lot.keepsUntil < now;
  if (lot.seal !== 'sealed' && lot.placeKind === 'refrigerator') {
    if (past) return `past its use-by of ${dayAndDate(lot.keepsUntil)}: do not eat it`;
    const readyAt = readyFrom(lot);
    // What wants no waiting is ready when it is made, and is never said to be so later.
    const ready = readyAt > Math.max(now, lot.madeAt) ? `ready ${dayAndDate(readyAt)}, ` : '';
    return `${ready}use by ${dayAndDate(lot.keepsUntil)}`;
  }
  return past ? 'past best, quality falling' : `best by ${monthAndYear(lot.keepsUntil)}`;
}

export const EAT_WORDS: Readonly<Record<EatReason, string>> = {
  'past-use': 'past its days',
  opened: 'open',
  unsealed: 'did not seal',
  cold: 'kept cold, its days run out',
  'past-best': 'past best',
  'best-soon': 'best by soon',
  'too-many': 'more than you eat in time',
};

/** Why a jar is on the list, in a sentence. */
export function eatSentence({ lot, reason }: EatNext, now: number): string {
  if (reason === 'past-use') return `Past its use-by of ${dayAndDate(lot.keepsUntil)}: throw it away, do not taste it.`;
  if (reason === 'opened') return `Open: ${keepsWords(lot, now)}.`;
  if (reason === 'cold') return `Kept cold: ${keepsWords(lot, now)}.`;
  if (reason === 'unsealed') return `Did not seal: ${keepsWords(lot, now)}.`;
  if (reason === 'too-many') return 'There is more of it than you eat while it is at its best.';
  return `${reason === 'past-best' ? 'Best was by' : 'Best by'} ${monthAndYear(lot.keepsUntil)}.`;
}

export const MOVED_WORDS: Readonly<Record<MovementKind, string>> = {
  stored: 'put on the shelf',
  returned: 'put back',
  found: 'found when counted',
  taken: 'eaten',
  given: 'given away',
  sold: 'sold',
  broken: 'broken',
  spoiled: 'spoiled, thrown away',
  discarded: 'thrown away',
  missing: 'missing when counted',
  moved: 'carried elsewhere',
  opened: 'opened',
  short: 'told as gone, and not there',
  undone: 'undone',
};

/** What tells which jars are meant. */
type NamedJars = Pick<JarLot, 'product' | 'recipe' | 'crop' | 'jar'>;

/** "Crushed tomatoes, quart"; "Strawberry jam, half-pint". */
export function jarName(lot: NamedJars): string {
  return `${recipeName(lot)}, ${JARS[lot.jar].one}`;
}

/** "1 quart crushed tomatoes". */
export function countOf(count: number, lot: NamedJars): string {
  const { one, several } = JARS[lot.jar];
  return `${count} ${count === 1 ? one : several} ${recipeName(lot).toLowerCase()}`;
}

/** "Harvest fair, Saturday 19 Sep": what is set aside has its day. */
export function placeWords({ name, forDay }: PantryPlace): string {
  return forDay === undefined ? name : `${name}, ${dayAndDate(parseISO(forDay).getTime())}`;
}
