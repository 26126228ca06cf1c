import { inZone } from '@/store/householdZone';
import { produceRow } from '@hoddle/core/handbook/produce';
import { isLiquid, LEFT_WORDS } from '@hoddle/core/harvest/leftBehind';
import { type Lot } from '@hoddle/core/harvest/onHand';
import { type Place } from '@hoddle/core/harvest/pick';
import { volumeWords } from '@hoddle/core/measure/volumeWords';
import { massWords, type Units } from '@/ui/amountWords';
import { weekday } from '@/ui/clockWords';
import { format } from 'date-fns/format';
import { isSameDay } from 'date-fns/isSameDay';

const DAY_MS = 24 * 60 * 60_000;

export const PLACE_WORDS: Readonly<Record<Place, string>> = {
  counter: 'On the counter',
  cool: 'In the cool room',
  refrigerator: 'In the refrigerator',
  iced: 'In iced water',
  freezer: 'In the freezer',
};

/** The places as a key names them. */
export const PLACE_NAMES: Readonly<Record<Place, string>> = {
  counter: 'counter',
  cool: 'cool room',
  refrigerator: 'refrigerator',
  iced: 'iced water',
  freezer: 'freezer',
};

/** "apples", or "peels and cores of apples", which a batch left behind. */
export function lotName({ crop, of }: Pick<Lot, 'crop'> & { readonly of?: Lot['of'] | null }): string {
  const name = produceRow(crop).name.toLowerCase();
  return of ? `${LEFT_WORDS[of.kind]} of ${name}` : name;
}

/** How much of a lot there is: what is liquid by its volume, a litre of it about a kilogram. */
export function lotAmount({ massKg, of }: Pick<Lot, 'massKg' | 'of'>, units: Units): string {
  return of && isLiquid(of.kind) ? volumeWords(massKg * 1_000, units) : massWords(massKg, units);
}

/** How long a lot still keeps, in days and in words: "12 lb soft, use by Sunday", "Thursday", "past its time". */
export function keepingOf(
  lot: Lot,
  now: number,
  mass: (massKg: number) => string,
): { daysLeft: number; words: string; urgent: boolean } {
  const daysLeft = (lot.until - now) / DAY_MS;
  const day = isSameDay(inZone(lot.until), inZone(now))
    ? 'today'
    : daysLeft <= 6
      ? weekday(lot.until)
      : format(inZone(lot.until), 'd MMM');
  const start = lot.ripeness === 'soft' ? `${mass(lot.massKg)} soft, ` : '';
  if (daysLeft <= 0) return { daysLeft: 0, words: `${start}past its time`, urgent: true };
  return {
    daysLeft,
    words: lot.ripeness === 'soft' ? `${start}${day === 'today' ? day : `by ${day}`}` : day,
    urgent: daysLeft <= 1,
  };
}
