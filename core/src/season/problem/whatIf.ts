import { type Canner } from '../../canner/canner';
import { type Cook } from '../../day/kitchenSetup';
import { type ProduceId } from '../../handbook/produce';
import { type Outlook } from './expectedArrivals';
import { type SeasonStock } from './seasonProblem';

/** What may turn out otherwise, to be seen beside the plan. */
export const WHAT_IFS = ['early-frost', 'more-tomatoes', 'second-canner', 'more-hands', 'no-lids'] as const;
export type WhatIf = (typeof WHAT_IFS)[number];

/** Crops that a frost ends. Common practice. */
const TENDER: readonly ProduceId[] = [
  'tomato-paste',
  'tomato-slicing',
  'tomatillo',
  'cucumber-pickling',
  'pepper-sweet',
  'pepper-hot',
  'bean-snap',
  'corn-sweet',
];
const TOMATOES: readonly ProduceId[] = ['tomato-paste', 'tomato-slicing'];
const TOMATOES_MORE = 1.3;
const TWO_WEEKS_MS = 14 * 24 * 60 * 60_000;

/**
 * The outlook if it went otherwise. A frost two weeks before the tender crops would have ended takes all of them that were
 * still to come: tomatoes from frosted or dead vines are no produce to plan with (rule of the National Center: acid is lost).
 */
export function outlookIf(outlook: Outlook, whatIf: WhatIf | undefined): Outlook {
  const expected = ({ id }: { id: string }) => outlook.spreads.has(id);
  if (whatIf === 'early-frost') {
    const tender = outlook.arrivals.filter((arrival) => TENDER.includes(arrival.crop) && expected(arrival));
    const frostAt = Math.max(...tender.map(({ readyAt }) => readyAt)) - TWO_WEEKS_MS;
    return {
      ...outlook,
      arrivals: outlook.arrivals.filter((arrival) => !tender.includes(arrival) || arrival.readyAt <= frostAt),
    };
  }
  if (whatIf !== 'more-tomatoes') return outlook;
  return {
    ...outlook,
    arrivals: outlook.arrivals.map((arrival) =>
      TOMATOES.includes(arrival.crop) && expected(arrival)
        ? { ...arrival, massKg: arrival.massKg * TOMATOES_MORE }
        : arrival,
    ),
  };
}

export function cannersIf(canners: readonly Canner[], whatIf: WhatIf | undefined): Canner[] {
  const [first] = canners;
  if (whatIf !== 'second-canner' || !first) return [...canners];
  return [...canners, { ...first, id: `${first.id} again`, name: `another ${first.name}` }];
}

export function cooksIf(cooks: readonly Cook[], whatIf: WhatIf | undefined): Cook[] {
  const [first] = cooks;
  return whatIf === 'more-hands' && first ? [...cooks, { ...first, name: 'Helper' }] : [...cooks];
}

export function stockIf(stock: readonly SeasonStock[], whatIf: WhatIf | undefined): SeasonStock[] {
  return stock.map((each) =>
    whatIf === 'no-lids' && !each.key.startsWith('jar ') ? { ...each, toBeHad: false } : each,
  );
}
