import { criticalChain } from '@hoddle/core/day/criticalChain';
import { type DayProblem } from '@hoddle/core/day/dayProblem';
import { otherQuestion } from '@hoddle/core/day/otherPlans';
import { useMemo } from 'react';
import { useHousehold } from '@/store/useHousehold';
import { duration } from '@/ui/clockWords';
import { Plate } from '@/ui/Plate';
import { Words } from '@/ui/Words';
import { savingWays } from './life/waysOf';
import { type DayWithPlan } from '@hoddle/core/kitchen/dayInHand';
import { useEnds } from '@/household/day/useEnds';

const MINUTE_MS = 60_000;
/** So much is worth changing something. */
const HOUR_MIN = 60;

/** What makes the day as long as it is, in a sentence, and what would save an hour, what costs least first. */
export function ChainPart({ day, problem }: { day: DayWithPlan; problem: DayProblem }) {
  const { canners } = useHousehold().household;
  const chain = useMemo(() => criticalChain(problem, day.tasks), [problem, day.tasks]);
  const parts = [
    ...(chain.handsMin > 0 ? [`${long(chain.handsMin)} of hands`] : []),
    ...[...chain.inCanner].map(
      ([id, minutes]) => `${long(minutes)} in ${canners.find((canner) => canner.id === id)?.name ?? 'a canner'}`,
    ),
    ...(chain.waitMin >= 1 ? [`${long(chain.waitMin)} of waiting`] : []),
  ];
  const first = chain.steps[0]?.task.words;
  const last = chain.steps.at(-1)?.task.words;
  return (
    <Plate className="mb-3 gap-2">
      <Words weight={700}>
        What makes the day so long: {parts.join(', ')}, one after the other from “{first}” to “{last}”.
      </Words>
      {day.latest && (
        <Words>
          Run a thousand times over, it is late most often by “{day.latest.words}”: {Math.round(100 * day.latest.part)}{' '}
          of 100 late days.
        </Words>
      )}
      {!day.live && <Savings day={day} />}
    </Plate>
  );
}

function Savings({ day }: { day: DayWithPlan }) {
  const { canners } = useHousehold().household;
  const ways = savingWays(day, canners).flatMap(({ words, other }) => {
    const asked = otherQuestion(day.question, other);
    return asked ? [{ words, asked }] : [];
  });
  const ends = useEnds(ways.map(({ asked }) => asked));
  const endMin = (day.likelyAt - day.startAt) / MINUTE_MS;
  const saved = ways.flatMap(({ words }, i) => {
    const end = ends[i];
    return typeof end === 'number' && endMin - end >= 1 ? [{ words, minutes: endMin - end }] : [];
  });
  const isOpen = ends.some((end) => end === undefined);
  const cheapest = saved.find(({ minutes }) => minutes >= HOUR_MIN);
  const most = saved.reduce<(typeof saved)[number] | undefined>(
    (best, own) => (best && best.minutes >= own.minutes ? best : own),
    undefined,
  );
  const told = cheapest ?? most;
  return (
    <Words role="status">
      {told
        ? `${told.words}: ${long(told.minutes)} sooner${cheapest ? '' : ', the most that was found'}.`
        : isOpen
          ? 'Looking for what would save an hour.'
          : `Nothing of this saves time: ${ways.map(({ words }) => lowerFirst(words)).join('; ')}.`}
    </Words>
  );
}

function lowerFirst(words: string): string {
  return words.slice(0, 1).toLowerCase() + words.slice(1);
}

function long(minutes: number): string {
  return duration(Math.round(minutes) * MINUTE_MS);
}
