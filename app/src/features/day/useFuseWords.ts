import { type Batch } from '@hoddle/core/day/batch';
import { produceRow } from '@hoddle/core/handbook/produce';
import { useHousehold } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { clockTime, weekday } from '@/ui/clockWords';
import { type Day } from './useDay';

const MINUTE_MS = 60_000;

/** What to freeze, and by when, if a batch is not made: its produce by name; undefined where all of it keeps. */
export function useFuseWords(): (day: Day, batch: Batch) => string | undefined {
  const { picks } = useHousehold();
  const mass = useMassWords();
  return ({ question, startAt }, batch) => {
    const byMin = question.useBy?.get(batch.id);
    if (byMin === undefined) return undefined;
    const by = startAt + byMin * MINUTE_MS;
    const massOf = new Map<string, number>();
    for (const { pickId, massKg } of batch.uses) {
      const crop = picks.find(({ id }) => id === pickId)?.crop;
      if (crop) massOf.set(crop, (massOf.get(crop) ?? 0) + massKg);
    }
    const each = [...massOf].map(([crop, massKg]) => `${mass(massKg)} ${produceRow(crop).name.toLowerCase()}`);
    return `Freeze ${each.join(' and ')} by ${weekday(by)} ${clockTime(by)}.`;
  };
}
