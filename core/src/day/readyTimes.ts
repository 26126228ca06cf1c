import { isPressure } from '../canner/canner';
import { TO_PRESSURE_MINUTES } from '../canner/heatUp';
import { restMinutes } from '../canner/restMinutes';
import { cardsOf } from '../handbook/cards';
import { CANNER_STEPS } from '../handbook/steps';
import { type ProductRow } from '../handbook/products';
import { KG_PER_LB } from '../measure/amount';
import { testedMethods } from '../process/findProcess';
import { daySequence, madeBefore } from './daySequence';

const MINUTE_MS = 60_000;

/** Jars stand undisturbed after the canner, at the least. Handbook rule 9. */
const COOLING_MINUTES = 12 * 60;

export interface TimedStep {
  readonly words: string;
  /** Epoch milliseconds. */
  readonly startAt: number;
  readonly endAt: number;
  /** Hands are needed; else it waits by itself. */
  readonly hands: boolean;
}

export interface ReadyTimesQuestion {
  readonly product: ProductRow;
  readonly massKg: number;
  readonly processMinutes: number;
}

/**
 * When each step begins, from now on: one batch, one canner load, every step at the middle of its usual time, hands-on
 * minutes by the pound. Common practice throughout, but for the tested time.
 */
export function readyFrom(question: ReadyTimesQuestion, startAt: number): TimedStep[] {
  let at = startAt;
  return durations(question).map(({ words, minutes, hands }) => {
    const step = { words, startAt: at, endAt: at + minutes * MINUTE_MS, hands };
    at = step.endAt;
    return step;
  });
}

/** The same backwards: the last step, the cooling, ends at the chosen time. */
export function readyBy(question: ReadyTimesQuestion, endAt: number): TimedStep[] {
  const total = durations(question).reduce((sum, { minutes }) => sum + minutes, 0);
  return readyFrom(question, endAt - total * MINUTE_MS);
}

interface Duration {
  readonly words: string;
  readonly minutes: number;
  readonly hands: boolean;
}

function durations({ product, massKg, processMinutes }: ReadyTimesQuestion): Duration[] {
  const pounds = massKg / KG_PER_LB;
  // Low-acid food has no other way; it vents first and comes down by itself.
  const method = testedMethods(product)[0] ?? 'boiling-water';
  const pressure = isPressure(method);
  const [card] = cardsOf(product.product);
  const steps = card ? [...madeBefore(card), ...daySequence(card)] : [];
  const preparing = steps.flatMap(({ step }): Duration[] => {
    const { row, waitMinutes, words } = step;
    const hands = mid(row.handsPerLb) * pounds + mid(row.fixedMinutes);
    return [
      { words, minutes: Math.round(hands), hands: true },
      { words: `${words}: wait`, minutes: Math.round(mid(waitMinutes)), hands: false },
    ];
  });
  return [
    ...preparing,
    { words: 'Jars into the canner', minutes: Math.round(mid(CANNER_STEPS.load)), hands: true },
    {
      words: 'To the boil or to pressure',
      minutes: mid(CANNER_STEPS.heatUp) + (pressure ? TO_PRESSURE_MINUTES : 0),
      hands: false,
    },
    { words: `Process ${processMinutes} min`, minutes: processMinutes, hands: false },
    {
      words: pressure ? 'Down by itself, weight off' : 'Heat off, lid off',
      minutes: mid(restMinutes(method, 'quart')),
      hands: false,
    },
    { words: 'Jars out', minutes: Math.round(mid(CANNER_STEPS.unload)), hands: true },
    { words: 'Cool undisturbed', minutes: COOLING_MINUTES, hands: false },
  ].filter(({ minutes }) => minutes > 0);
}

function mid([low, high]: readonly [number, number]): number {
  return (low + high) / 2;
}
