import { produceRow, type ProduceId } from '../handbook/produce';
import { type Place, PLACES, type Ripeness } from './pick';

export type LotRipeness = Ripeness | 'soft';

/** Days that ripe, sound but soft produce still keeps. Common practice: cook it today or tomorrow. */
const SOFT_KEEPS_DAYS: Readonly<Record<Exclude<Place, 'freezer'>, number>> = {
  counter: 1,
  cool: 1,
  refrigerator: 2,
  iced: 1,
};

/** Days a firm fruit of a crop that ripens off the plant takes to get ripe, before its own days begin. Common practice. */
const RIPENS_DAYS: Partial<Record<ProduceId, number>> = {
  'tomato-paste': 4,
  'tomato-slicing': 4,
  pear: 5,
  peach: 2,
  apricot: 2,
  plum: 2,
  damson: 2,
  quince: 7,
};

/** Green tomatoes stay green about so long on the counter or in a cool room. Common practice. */
const GREEN_DAYS = 7;

/** For crisp pickles, at most two days. Source: the note on pickling cucumbers in the table of produce. */
const ICED_DAYS: Partial<Record<ProduceId, number>> = { 'cucumber-pickling': 2 };

/** Eight months at 0 F, the shorter end of what is advised for quality. National Center for Home Food Preservation, from memory. */
const FROZEN_DAYS = 240;

/** What goes limp when frozen and makes no pickle after. Common practice. */
const NOT_FOR_THE_FREEZER: readonly ProduceId[] = ['cucumber-pickling', 'cabbage'];

/** Produce that has been frozen is used within a day of thawing. Common practice. */
export const THAWED_DAYS = 1;

/** The places that are for a crop, in the order of {@link PLACES}. */
export function placesFor(crop: ProduceId): Place[] {
  return PLACES.filter((place) => soundDays(crop, place) !== undefined);
}

/**
 * Days a lot keeps in a place from the day it was picked, at that ripeness.
 *
 * Source: the table of produce for ripe, sound produce. Firm fruit that ripens off the plant begins that many days
 * earlier on the fuse, soft produce only its last day or two; neither outlasts what the table gives for the place when it
 * is cold, where nothing ripens. A place that is not for the crop keeps it no longer than the counter does.
 */
export function keepsDays(crop: ProduceId, ripeness: LotRipeness, place: Place): number {
  const days = soundDays(crop, place) ?? produceRow(crop).keepsDays.counter;
  if (place === 'freezer') return days;
  if (ripeness === 'soft') return Math.min(days, SOFT_KEEPS_DAYS[place]);
  // Green fruit ripens on from firm: its own days as green fruit are those until then.
  if (ripeness === 'green') return place === 'counter' || place === 'cool' ? Math.max(days, GREEN_DAYS) : days;
  const ripens = ripeness === 'firm' && (place === 'counter' || place === 'cool') ? (RIPENS_DAYS[crop] ?? 0) : 0;
  return days + ripens;
}

/** The length of the whole fuse in days: what the longest-keeping lot of the crop has in this place. */
export function fuseDays(crop: ProduceId, place: Place): number {
  return Math.max(keepsDays(crop, 'firm', place), keepsDays(crop, 'soft', place));
}

function soundDays(crop: ProduceId, place: Place): number | undefined {
  if (place === 'iced') return ICED_DAYS[crop];
  if (place === 'freezer') return NOT_FOR_THE_FREEZER.includes(crop) ? undefined : FROZEN_DAYS;
  return produceRow(crop).keepsDays[place];
}
