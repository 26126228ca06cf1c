import { type Household } from '@hoddle/contract/household';
import { type Batch } from '@hoddle/core/day/batch';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { dayState } from '@hoddle/core/kitchen/dayState';
import { pacesLearned, pacesSeen } from '@hoddle/core/kitchen/pace';
import memoizeOne from 'memoize-one';
import { isoDay } from '@/ui/clockWords';

/**
 * The household's pace at each step, from the days it has run; a day itself is left out, so that its plan stays while it is
 * done.
 */
export const pacesOf = memoizeOne(
  (batches: readonly Batch[], dayEvents: readonly DayEvent[], household: Household, without?: string) => {
    const { canners, ownJars, kitchen, burners } = household;
    const setup = { ...kitchen, burners };
    const days = new Set(dayEvents.map(({ day }) => day).filter((day) => day !== without));
    const seen = [...days].flatMap((day) => {
      const own = batches.filter(({ startAt }) => isoDay(startAt) === day);
      return pacesSeen(own, { canners, setup, ownJars }, dayState(dayEvents.filter((event) => event.day === day)));
    });
    return { seen, ...pacesLearned(seen, kitchen.handsPace) };
  },
);
