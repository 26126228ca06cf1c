import { nameOf } from '@hoddle/core/day/batch';
import { problemOf } from '@hoddle/core/day/questionOfDay';
import { type DayProblem, type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { type Why, whyThen } from '@hoddle/core/day/whyThen';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { clockTime, duration, isoDay, weekday } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { ChainPart } from './ChainPart';
import { type Day, type DayWithPlan, hasPlan } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';

const MINUTE_MS = 60_000;

/** Every step of the day with its time, and what it waits for. */
export function StepsScreen() {
  const day = useDay();
  if (!day || !hasPlan(day)) {
    return (
      <Screen station="plan" title="No plan yet" backTo="/plan">
        <Words>The steps stand here as soon as the day is laid out.</Words>
      </Screen>
    );
  }
  return <Steps day={day} />;
}

function Steps({ day }: { day: DayWithPlan }) {
  const { canners } = useHousehold().household;
  const problem = useMemo(
    () => problemOf({ ...day.question, progress: undefined }, new Map(Object.entries(day.cannerOf))),
    [day.question, day.cannerOf],
  );
  const cannerName = (id: string) => canners.find((canner) => canner.id === id)?.name ?? 'the canner';
  return (
    <Screen station="plan" title="Why then?" note="Every step, and what it waits for" backTo="/plan">
      <View className="max-w-[760px]">
        <ChainPart day={day} problem={problem} />
      </View>
      <View role="list" className="max-w-[760px]">
        {day.tasks.map((entry) => (
          <Step key={entry.task.id} day={day} entry={entry} problem={problem} cannerName={cannerName} />
        ))}
      </View>
    </Screen>
  );
}

interface StepProps {
  day: Day;
  entry: ScheduledTask;
  problem: DayProblem;
  cannerName: (id: string) => string;
}

function Step({ day, entry, problem, cannerName }: StepProps) {
  const at = day.startAt + entry.startMin * MINUTE_MS;
  const minutes = Math.round(entry.endMin - entry.startMin);
  const batch = day.batches.find(({ id }) => id === entry.task.batchId);
  const number = day.loads.findIndex(({ id }) => id === entry.task.loadId) + 1;
  const of = [
    ...(number > 0 ? [`load ${number}`] : []),
    ...(batch
      ? [
          nameOf(
            batch,
            batch.loads.find(({ id }) => id === entry.task.loadId),
          ).toLowerCase(),
        ]
      : []),
    ...(entry.task.cannerId !== undefined ? [cannerName(entry.task.cannerId)] : []),
  ].join(', ');
  return (
    <View role="listitem" className="min-h-[56px] flex-row gap-3 border-t border-hair py-2">
      <View className="w-[84px]">
        <Words weight={700}>{clockTime(at)}</Words>
        {!isSameDate(at, day.startAt) && (
          <Words size="small" tone="ink-2">
            {weekday(at)}
          </Words>
        )}
      </View>
      <View className="w-[6px]" style={{ backgroundColor: batch ? hueOfProduct(batch.product).hue : 'transparent' }} />
      <View className="flex-1">
        <Words weight={700}>
          {entry.task.words}, {minutes} min
        </Words>
        {of !== '' && (
          <Words size="label" tone="ink-2">
            {of}
          </Words>
        )}
        <Words size="label">{whyWords(whyThen(problem, day.tasks, entry), cannerName, day)}</Words>
      </View>
    </View>
  );
}

function isSameDate(a: number, b: number): boolean {
  return isoDay(a) === isoDay(b);
}

const RESOURCE_WORDS: Readonly<Record<string, string>> = {
  hands: 'free hands',
  watch: 'somebody in the house',
  burners: 'a burner',
  'canner burners': 'a burner that carries a canner',
  'big pot': 'a big pot',
  refrigerator: 'room in the refrigerator',
};

function whyWords(why: Why, cannerName: (id: string) => string, day: Day): string {
  const named = ({ task }: ScheduledTask) => {
    const number = day.loads.findIndex(({ id }) => id === task.loadId) + 1;
    return `“${task.words}”${number > 0 ? ` of load ${number}` : ''}`;
  };
  const resourceWords = (id: string) =>
    id.startsWith('canner ') && id !== 'canner burners'
      ? cannerName(id.slice('canner '.length))
      : (RESOURCE_WORDS[id] ?? `the ${id.replace(/^tool /, '')}`);
  switch (why.kind) {
    case 'first':
      return 'The day begins with it.';
    case 'after':
      return `As soon as ${named(why.task)} is done${why.waitMin > 0 ? ` and ${duration(why.waitMin * MINUTE_MS)} have passed` : ''}.`;
    case 'portions':
      return why.part === 'first'
        ? `As soon as the first basin from ${named(why.task)} is there; the rest comes as it goes on.`
        : `Fed by ${named(why.task)} as it goes on: the last of it is through right after.`;
    case 'resource':
      return `Waits for ${resourceWords(why.resource)}: ${named(why.task)} comes first.`;
    case 'hours':
      return `Waits for ${resourceWords(why.resource)}: nobody is there before.`;
    case 'soonEnough':
      return `Not sooner, or ${named(why.task)} would come more than ${why.maxLagMin} min after it.`;
    case 'late':
      return `As late as will do for ${named(why.task)}.`;
    case 'asked':
      return 'Not before: its own day begins then, or it is wished so.';
    case 'free':
      return 'Could begin a little sooner; nothing waits for it.';
  }
}
