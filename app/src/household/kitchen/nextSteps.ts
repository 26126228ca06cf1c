import { countJars, type JarSize } from '@hoddle/core/handbook/jars';
import { type LoadClock } from '@hoddle/core/kitchen/loadClock';
import { clockTime, clockTimeFrom } from '@/ui/clockWords';
import { type Units } from '@/ui/amountWords';
import { methodWords } from './methodWords';
import { type RunningLoad } from './useLoad';
import { insideWords } from './insideWords';

export interface NextStep {
  readonly when: string;
  readonly words: string;
}

/** The load that goes in next, by its number of the day. */
export interface FollowingLoad {
  readonly id: string;
  readonly number: number;
  readonly jars: number;
  readonly jar: JarSize;
}

/** What comes after what is on now, with its clock time where that is known; three at most. */
export function nextSteps(
  { batch, order, state, besides }: Omit<RunningLoad, 'load'>,
  clock: LoadClock,
  units: Units,
  following?: FollowingLoad,
): NextStep[] {
  const said = methodWords({ ...batch, processMinutes: order.processMinutes }, units);
  const rest = `${order.restMinutes} min`;
  const restMs = order.restMinutes * 60_000;
  const out = { words: `Lift out ${insideWords(state.jars, { batch, besides })}` };
  const cool = { when: 'after', words: 'Cool 12 to 24 h, then press the lids' };
  const then = following
    ? [{ when: 'then', words: `Load ${following.number}: ${countJars(following.jars, following.jar)}` }]
    : [];
  switch (clock.kind) {
    case 'planned':
    case 'heating':
      return [
        { when: said.when, words: `Start ${order.processMinutes} min` },
        { when: 'then', words: `${said.heatOffShort}, wait ${rest}` },
        { when: 'then', ...out },
      ];
    case 'venting':
      return [
        { when: clockTime(clock.endsAt), words: said.vent?.over ?? '' },
        { when: said.when, words: `Start ${order.processMinutes} min` },
        { when: 'then', words: said.heatOffShort },
      ];
    case 'falling':
      return [{ when: '0 psi', words: said.resting }, { when: 'then', ...out }, ...then].slice(0, 3);
    case 'boiling':
      if (clock.timeIsUp)
        return [{ when: 'now', words: said.heatOffShort }, { when: `${rest} on`, ...out }, ...then].slice(0, 3);
      return [
        {
          when: clockTimeFrom(clock.endsAt, state.boilAt ?? clock.endsAt),
          words: `${said.heatOffShort}, wait ${rest}`,
        },
        { when: clockTimeFrom(clock.endsAt + restMs, state.boilAt ?? clock.endsAt), ...out },
        ...then,
      ].slice(0, 3);
    case 'resting':
      return [{ when: clock.timeIsUp ? 'now' : clockTime(clock.endsAt), ...out }, ...then, cool].slice(0, 3);
    case 'cooling':
      return [
        { when: clockTimeFrom(clock.checkFrom, state.outAt ?? clock.checkFrom), words: 'Press the lids' },
        ...then,
      ];
    case 'checked':
      return then;
  }
}
