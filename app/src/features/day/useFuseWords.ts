import { type Batch } from '@hoddle/core/day/batch';
import { spoilsBy } from '@hoddle/core/day/spoilsBy';
import { produceRow } from '@hoddle/core/handbook/produce';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { clockTime, weekday } from '@/ui/clockWords';
import { type Day } from '@hoddle/core/kitchen/dayInHand';

const MINUTE_MS = 60_000;

/** When the first produce of a batch spoils that it is made of, epoch milliseconds; undefined where all of it keeps for a week. */
export function useSpoilsAt(): (batch: Batch, from: number) => number | undefined {
  const { batches, picks, lotChanges } = useHousehold();
  return (batch, from) => {
    const own = batches.find(({ id }) => id === batch.id) ?? batch;
    const byMin = spoilsBy([own], batches, picks, lotChanges, from).get(batch.id);
    return byMin === undefined ? undefined : from + byMin * MINUTE_MS;
  };
}

/** What to freeze by a moment, if a batch is not made by then: its produce by name. */
export function useFreezeWords(): (batch: Batch, by: number) => string {
  const { picks } = useHousehold();
  const mass = useMassWords();
  return ({ uses }, by) => {
    const massOf = new Map<string, number>();
    for (const { pickId, massKg } of uses) {
      const crop = picks.find(({ id }) => id === pickId)?.crop;
      if (crop) massOf.set(crop, (massOf.get(crop) ?? 0) + massKg);
    }
    const each = [...massOf].map(([crop, massKg]) => `${mass(massKg)} ${produceRow(crop).name.toLowerCase()}`);
    return `Freeze ${each.join(' and ')} by ${weekday(by)} ${clockTime(by)}.`;
  };
}

/** What to freeze, and by when, if a batch of a day is not made: its produce by name; undefined where all of it keeps. */
export function useFuseWords(): (day: Day, batch: Batch) => string | undefined {
  const freezeWords = useFreezeWords();
  return ({ question, startAt }, batch) => {
    const byMin = question.useBy?.get(batch.id);
    return byMin === undefined ? undefined : freezeWords(batch, startAt + byMin * MINUTE_MS);
  };
}
