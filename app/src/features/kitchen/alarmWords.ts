import { nameOf } from '@hoddle/core/day/batch';
import { type Alarm } from '@hoddle/core/kitchen/alarms';
import { IN_CANNER } from '@hoddle/core/kitchen/dayClose';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { type Units } from '@/ui/amountWords';
import { bathWords } from '@/ui/bathWords';

/** What a call asks for, in a few words, and of what. */
export function alarmWords(
  { kind, loadId, taskId, words }: Alarm,
  day: Day,
  { cannerName, units }: { readonly cannerName: (id: string) => string; readonly units: Units },
): string {
  const load = day.loads.find(({ id }) => id === loadId);
  const task = day.live?.running.tasks.find(({ id }) => id === taskId);
  const batch = day.batches.find(({ id }) => id === task?.batchId);
  const vessel = load ? cannerName(load.cannerId) : task?.cannerId !== undefined ? cannerName(task.cannerId) : '';
  const { low, high, both } = bathWords(units);
  const isBath = load?.batch.method === 'low-temperature-bath';
  const step = `${task?.words ?? ''}${batch ? `, ${nameOf(batch).toLowerCase()}` : ''}`;
  switch (kind) {
    case 'time-up':
      return `Time is up: ${vessel}`;
    case 'rest-over':
      return `Lift the jars out: ${vessel}`;
    case 'vent-over':
      return `Vented: weight on, ${vessel}`;
    case 'thermometer':
      return `${both}? ${vessel}`;
    case 'start':
      return `Water on: ${vessel}`;
    case 'jars-wait': {
      const isBusy = day.loads.some(({ cannerId, phase }) => cannerId === load?.cannerId && IN_CANNER.includes(phase));
      return isBusy ? `Filled jars wait for ${vessel}: keep them hot` : `Filled jars wait: into ${vessel}`;
    }
    case 'look':
      return `A probe began the clock: does it boil? ${vessel}`;
    case 'boil-found':
      return `${isBath ? `At ${low}` : 'It boils'}, by the probe: look and tap, ${vessel}`;
    case 'boil-lost':
      return `It boils no more, by the probe: ${vessel}`;
    case 'too-cool':
      return `Bath under ${low}: ${vessel}`;
    case 'too-hot':
      return `Bath over ${high}: ${vessel}`;
    case 'under-pressure':
      return `Pressure under the mark: ${vessel}`;
    case 'step-over':
      return `Time is up: ${step}`;
    case 'ask':
      return `Is it done? ${step}`;
    case 'stir':
      return `${words ?? 'Stir'}: ${step}`;
  }
}
