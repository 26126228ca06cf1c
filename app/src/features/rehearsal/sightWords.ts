import { nameOf } from '@hoddle/core/day/batch';
import { type Sight } from '@hoddle/core/rehearsal/rehearsedDay';
import { type Day } from '@hoddle/core/kitchen/dayInHand';

/** What is to be seen or heard, in the words of somebody who stands there. */
export function sightWords(sight: Sight, day: Day, cannerName: (id: string) => string): string {
  const vessel = (loadId: string) => {
    const load = day.loads.find(({ id }) => id === loadId);
    return load ? cannerName(load.cannerId) : 'the canner';
  };
  const numberOf = (loadId: string) => `load ${day.loads.find(({ id }) => id === loadId)?.number ?? ''}`;
  switch (sight.kind) {
    case 'step-finished': {
      const task = day.live?.running.tasks.find(({ id }) => id === sight.taskId);
      const batch = day.batches.find(({ id }) => id === task?.batchId);
      return `Your hands are through with “${task?.words ?? 'this'}”${batch ? `, ${nameOf(batch).toLowerCase()}` : ''}.`;
    }
    case 'boils':
      return `${vessel(sight.loadId)}: big bubbles all over, they do not stop when you stir.`;
    case 'simmers':
      return `${vessel(sight.loadId)}: small bubbles, it sings.`;
    case 'stopped':
      return `${vessel(sight.loadId)}: the water lies still.`;
    case 'mishap': {
      const { mishap } = sight;
      switch (mishap.kind) {
        case 'jar-broken':
          return `${vessel(mishap.loadId)}: a jar is broken in ${numberOf(mishap.loadId)}.`;
        case 'lids-short':
          return `${mishap.lids} lids are missing for ${numberOf(mishap.loadId)}: so many jars fewer can be closed.`;
        case 'gas-out':
          return `${vessel(mishap.loadId)}: the flame is out. It takes ${mishap.minutes} min until it burns again.`;
        case 'yield-short':
          return 'It is less than was planned: a fifth is missing when you measure.';
        case 'child-calls':
          return `Somebody calls from the next room: ${mishap.minutes} min away from the stove.`;
        case 'power-cut':
          return `The power is gone, for ${mishap.minutes} min. What boiled does not boil now.`;
        case 'boil-lost':
          return '';
      }
    }
  }
}
