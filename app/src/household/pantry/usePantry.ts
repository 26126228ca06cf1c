import { type Forecast, type ForecastQuestion } from '@hoddle/core/pantry/forecast';
import { jarCode } from '@hoddle/core/pantry/jarCode';
import { type JarLot } from '@hoddle/core/pantry/jarLot';
import { rootLots } from '@hoddle/core/pantry/rootLots';
import { type ShelfGroup, shelfGroups, type StockedLot, stockedLots } from '@hoddle/core/pantry/shelf';
import memoizeOne from 'memoize-one';
import { useDeferredValue, useEffect } from 'react';
import { useForecastStore } from '@/store/forecastStore';
import { useHousehold } from '@/store/useHousehold';

export interface Pantry {
  readonly stocked: readonly StockedLot[];
  readonly groups: readonly ShelfGroup[];
  codeOf(lot: JarLot): string;
}

/** One state, one answer: every screen that asks gets the same objects. */
const pantryOf = memoizeOne(
  (
    lots: Parameters<typeof stockedLots>[0],
    movements: Parameters<typeof stockedLots>[1],
    places: Parameters<typeof stockedLots>[2],
    months: Parameters<typeof stockedLots>[3],
    mark: number,
  ): Pantry => {
    const stocked = stockedLots(lots, movements, places, months);
    const roots = rootLots(lots);
    return { stocked, groups: shelfGroups(stocked), codeOf: (lot) => jarCode(roots.get(lot.id) ?? lot.id, mark) };
  },
);

/** The jars there are. */
export function usePantry(): Pantry {
  const { lots, movements, household, mark } = useHousehold();
  return pantryOf(lots, movements, household.places, household.bestMonths, mark);
}

const DAY_MS = 24 * 60 * 60_000;

/** What is to be expected of each product; empty until it is worked out. */
export function useForecasts(now: number): readonly Forecast[] {
  const { use, goals, plantings, household } = useHousehold();
  const { stocked } = usePantry();
  const { forecasts, ask } = useForecastStore();
  const today = Math.floor(now / DAY_MS);
  useEffect(() => {
    // A tap is answered first: what to ask is put together when it has been.
    const timer = setTimeout(() => {
      const question = { now: today * DAY_MS, bestMonths: household.bestMonths, stocked, use, goals, plantings };
      ask(keyOf(question), question);
    });
    return () => clearTimeout(timer);
  }, [ask, today, household.bestMonths, stocked, use, goals, plantings]);
  // Nobody waits for these: they are drawn in the pauses of what a hand does.
  return useDeferredValue(forecasts);
}

/** The same jars, habits and day have the same answer. */
function keyOf({ now, bestMonths, stocked, use, goals, plantings }: ForecastQuestion): string {
  return JSON.stringify([
    ...[now, bestMonths, goals, plantings],
    stocked.map(({ id, jars }) => [id, jars]),
    use.map(({ product, jar, months }) => [product, jar, months.reduce((sum, { jars }) => sum + Math.round(jars), 0)]),
  ]);
}

/** The forecast of one product and size. */
export function forecastOf(forecasts: readonly Forecast[], wanted: Pick<Forecast, 'product' | 'jar'>) {
  return forecasts.find(({ product, jar }) => product === wanted.product && jar === wanted.jar);
}
