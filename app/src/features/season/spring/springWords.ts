import { countJars } from '@hoddle/core/handbook/jars';
import { produceRow } from '@hoddle/core/handbook/produce';
import { productRow } from '@hoddle/core/handbook/products';
import { type Spring } from './useSpring';
import { type SpringBed } from '@hoddle/core/season/spring/planSpring';
import { type Sowing } from '@hoddle/core/season/spring/sowingList';
import { countWords, weekAtWords } from '@/household/harvest/bedWords';

/** "enough in 5 years of 10": a chance as people say it. None and all are never promised. */
export function enoughWords(chance: number): string {
  if (chance < 0.05) return 'hardly ever enough';
  if (chance > 0.95) return 'enough nearly every year';
  const years = Math.round(chance * 10);
  return `enough in ${years} ${years === 1 ? 'year' : 'years'} of 10`;
}

/** What grows there now and what it comes to: "60 plants now: enough in 5 years of 10; else up to 41 lb short". */
export function asNowWords({ now, unit, enoughAsNow, shortKg }: SpringBed, mass: (kg: number) => string): string {
  if (now === 0) return 'none grow here yet';
  const there = countWords({ count: Math.round(now), unit });
  if (shortKg < LEAST_TOLD_KG) return `${there} now: ${enoughWords(enoughAsNow)}`;
  return `${there} now: ${enoughWords(enoughAsNow)}; in 8 years of 10 no more than ${mass(shortKg)} short`;
}

const LEAST_TOLD_KG = 0.25;

/** "42 quarts crushed tomatoes, 20 pints salsa" of what is to be put up of it. */
export function takenByWords({ takes }: SpringBed, jars: Spring['jars']): string {
  return takes
    .flatMap(({ product, jar }) => {
      const own = jars.find((each) => each.product === product && each.jar === jar);
      const count = Math.round(own?.jars.p80 ?? 0);
      return count > 0 ? [`${countJars(count, jar)} ${productRow(product).name.toLowerCase()}`] : [];
    })
    .join(', ');
}

/** What the figure stands on. */
export function basisWords({ seasons, ownFigure, now }: SpringBed): string {
  if (now === 0) return 'by the common figure';
  const first = ownFigure ? 'by what you say your bed gives' : 'by the common figure';
  return seasons === 0 ? first : `${first} and ${seasons} ${seasons === 1 ? 'season' : 'seasons'} you picked`;
}

/** "72 plants", "80 row-feet": what is to be set in all. */
export function setWords({ set, unit }: SpringBed): string {
  return countWords({ count: set, unit });
}

/** Name of a crop. */
export function cropWords({ crop }: { readonly crop: Sowing['crop'] }): string {
  return produceRow(crop).name;
}

/** When and how it is begun: "in pots in the week of 12 Mar, out about 30 Apr and not before the last frost". */
export function sowingWords(sowing: Sowing, now: number, year: number): string {
  const { begun, sowAt, setOutAt, weeksInPots, daysToPick, tender, bearsAfterYears } = sowing;
  const frost = tender ? ', not before your last frost' : '';
  if (begun === 'lasting') {
    const years = `${bearsAfterYears ?? 1} ${bearsAfterYears === 1 ? 'year' : 'years'}`;
    return `planted once, in early spring or in fall; bears well after about ${years}`;
  }
  if (sowAt === undefined) {
    const inPots = weeksInPots > 0 ? `${weeksInPots} weeks in pots, then out${frost}; ` : `in its bed${frost}; `;
    return `${inPots}picked about ${daysToPick ?? 0} days later`;
  }
  const at = (time: number) =>
    `${weekAtWords(time)}${new Date(time).getUTCFullYear() === year ? '' : ` ${new Date(time).getUTCFullYear()}`}`;
  const late = sowAt < now - WEEK_MS;
  if (setOutAt === undefined) {
    return `${late ? 'was to be' : ''} in its bed about ${at(sowAt)}${frost}`.trim();
  }
  const pots = late ? 'late for pots: buy plants' : `in pots about ${at(sowAt)}`;
  return `${pots}; out about ${at(setOutAt)}${frost}`;
}

const WEEK_MS = 7 * 24 * 60 * 60_000;
