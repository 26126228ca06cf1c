import { THAW_COLD, THAW_COUNTER } from '@hoddle/core/day/daySequence';
import { type DayTask, type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { type Alarm } from '@hoddle/core/kitchen/alarms';
import { heldBackWords } from '@hoddle/core/kitchen/heldBackWords';
import { type Doneness, readStep, stepClock } from '@hoddle/core/kitchen/stepClock';
import { testedPart } from '@hoddle/core/kitchen/testedPart';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { type Day, type LiveDay } from '@hoddle/core/kitchen/dayInHand';
import { useNow } from '@/store/useHousehold';
import { clockTimeFrom, countdown } from '@/ui/clockWords';
import { useSingleTap } from '@/ui/useSingleTap';
import { Words } from '@/ui/Words';
import { DoneBefore } from '@/household/kitchen/DoneBefore';
import { stepWords } from './HandsCard';
import { KitchenKey } from '@/ui/KitchenKey';
import { StepAmounts } from './StepAmounts';
import { useTellDay } from '@/household/kitchen/useTellDay';

const ASKED: Readonly<Record<Doneness, readonly [question: string, yes: string]>> = {
  set: ['Cold plate: does it wrinkle? Or boiling point + 8 F.', 'It sets'],
  third: ['Is it down by a third?', 'Down by a third'],
  half: ['Is it down by half?', 'Down by half'],
};

const THAWS = [THAW_COLD, THAW_COUNTER];

interface WaitRowProps {
  day: Day;
  live: LiveDay;
  entry: ScheduledTask;
  /** What it calls for now. */
  alarm?: Alarm;
}

/** Something that passes by itself, a simmer, a soak, a drip: its clock, when to stir, and whether it is done. */
export function WaitRow({ day, live, entry, alarm }: WaitRowProps) {
  const router = useRouter();
  const tell = useTellDay(day.id);
  const { task } = entry;
  const clock = stepClock(task);
  const own = live.progress.of.get(task.id);
  const now = useNow(1_000);
  const reading = readStep(clock, own, day.state.steps.get(task.id), { startAt: day.startAt, now });
  const start = useSingleTap(() => tell({ type: 'step-started', taskId: task.id }));
  const done = useSingleTap(() => tell({ type: 'step-done', taskId: task.id }));
  const again = useSingleTap(() => tell({ type: 'clock-started', taskId: task.id, minutes: clock.againMin ?? 5 }));
  const stirred = useSingleTap(() => alarm && tell({ type: 'alarm-answered', alarmId: alarm.id }));
  const asks = clock.asks && ASKED[clock.asks];
  const calls = alarm !== undefined;
  const ink = calls ? 'granite' : 'milk';
  return (
    <View
      role="group"
      aria-label={stepWords(entry, day)}
      className={`gap-2 border-t-2 px-4 py-3 ${calls ? 'alarm-flash border-milk bg-milk' : 'border-granite-line bg-granite-panel'}`}
    >
      <View className="flex-row items-center gap-3">
        <Words size="head" weight={700} tone={ink} className="flex-1">
          {alarm?.kind === 'stir' ? `${alarm.words ?? 'Stir'}: ${stepWords(entry, day)}` : stepWords(entry, day)}
        </Words>
        {reading?.leftMs !== undefined && (
          <Words role="timer" weight={800} tone={ink} style={{ fontSize: 34, lineHeight: 40 }}>
            {countdown(reading.leftMs)}
          </Words>
        )}
      </View>
      {reading?.endsAt !== undefined && (
        <Words size="lead" tone={calls ? 'granite' : 'milk-2'}>
          {reading.timeIsUp ? 'up since' : 'until'} {clockTimeFrom(reading.endsAt, now)}
          {clock.everyMin !== undefined
            ? `, ${(clock.everyWords ?? 'Stir').toLowerCase()} every ${everyWords(clock.everyMin)}`
            : ''}
        </Words>
      )}
      {!calls && <StepAmounts task={task} batch={day.batches.find(({ id }) => id === task.batchId)} />}
      {own !== undefined && task.entry !== undefined && THAWS.includes(task.entry) && (
        <KitchenKey
          look="outline"
          words="Its juice is kept"
          note="what drains off is caught; it goes in with the fruit, or is kept"
          onPress={() =>
            router.navigate({ pathname: '/harvest/left', params: { batch: task.batchId ?? '', kind: 'juice' } })
          }
        />
      )}
      {own === undefined && (
        <>
          <KitchenKey look="milk" words="Start its clock" onPress={start} />
          <DoneBefore dayId={day.id} task={task} />
        </>
      )}
      {alarm?.kind === 'stir' && (
        <KitchenKey
          look="outline"
          words={alarm.words === undefined || alarm.words === 'Stir' ? 'Stirred' : `${alarm.words}: done`}
          onPress={stirred}
        />
      )}
      {own !== undefined && asks && (
        <>
          <Words size="lead" weight={600} tone={ink}>
            {asks[0]}
          </Words>
          <KitchenKey look="milk" words={asks[1]} onPress={done} />
          {reading?.timeIsUp && <KitchenKey look="outline" words={`Not yet: ${clock.againMin} min`} onPress={again} />}
        </>
      )}
      {own !== undefined && !asks && reading?.timeIsUp && <KitchenKey look="outline" words="Done" onPress={done} />}
      {own !== undefined && !asks && reading?.timeIsUp === false && !calls && (
        <EndEarly key={task.id} day={day} task={task} leftMs={reading.leftMs ?? 0} />
      )}
    </View>
  );
}

/** A wait is left early only by whoever was asked; one that was tested is not. */
function EndEarly({ day, task, leftMs }: { day: Day; task: DayTask; leftMs: number }) {
  const tell = useTellDay(day.id);
  const [isAsked, setAsked] = useState(false);
  const part = testedPart(task);
  if (part) return null;
  if (!isAsked) return <KitchenKey look="outline" words="End it early" onPress={() => setAsked(true)} />;
  return (
    <>
      <Words role="alert" size="lead" weight={700} tone="milk">
        {heldBackWords({ kind: 'left', task, leftMin: leftMs / 60_000 })}
      </Words>
      <KitchenKey
        look="outline"
        words="End it now"
        onPress={() => tell({ type: 'step-done', taskId: task.id, sure: true })}
      />
      <KitchenKey look="milk" words="Let it go on" onPress={() => setAsked(false)} />
    </>
  );
}

/** "10 min", "12 h", "a day". */
function everyWords(minutes: number): string {
  if (minutes === 1_440) return 'day';
  return minutes >= 120 && minutes % 60 === 0 ? `${minutes / 60} h` : `${minutes} min`;
}
