import { countJars } from '@hoddle/core/handbook/jars';
import { type LoadClock } from '@hoddle/core/kitchen/loadClock';
import { REST_MS } from '@hoddle/core/kitchen/loadState';
import { clockTime } from '@/ui/clockWords';
import { type RunningLoad } from './useLoad';

export interface NextStep {
  readonly when: string;
  readonly words: string;
}

/** What comes after what is on now, with its clock time where that is known; three at most. */
export function nextSteps({ batch, load, order, state }: RunningLoad, clock: LoadClock): NextStep[] {
  const out = { words: `Lift out ${countJars(state.jars, batch.jar)}` };
  const cool = { when: 'after', words: 'Cool 12 to 24 h, then press the lids' };
  const following = batch.loads.find(({ number }) => number === load.number + 1);
  const then = following
    ? [{ when: 'then', words: `Load ${following.number}: ${countJars(following.jars, batch.jar)}` }]
    : [];
  switch (clock.kind) {
    case 'planned':
    case 'heating':
      return [
        { when: 'boil', words: `Start ${order.processMinutes} min` },
        { when: 'then', words: 'Heat off, lid off, wait 5 min' },
        { when: 'then', ...out },
      ];
    case 'boiling':
      if (clock.timeIsUp)
        return [{ when: 'now', words: 'Heat off, lid off' }, { when: '5 min on', ...out }, ...then].slice(0, 3);
      return [
        { when: clockTime(clock.endsAt), words: 'Heat off, lid off, wait 5 min' },
        { when: clockTime(clock.endsAt + REST_MS), ...out },
        ...then,
      ].slice(0, 3);
    case 'resting':
      return [{ when: clock.timeIsUp ? 'now' : clockTime(clock.endsAt), ...out }, ...then, cool].slice(0, 3);
    case 'cooling':
      return [{ when: clockTime(clock.checkFrom), words: 'Press the lids' }, ...then];
    case 'checked':
      return then;
  }
}
