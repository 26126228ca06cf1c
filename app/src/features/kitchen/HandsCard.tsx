import { nameOf, ofLoad } from '@hoddle/core/day/batch';
import { countJars } from '@hoddle/core/handbook/jars';
import Hand from 'lucide-react-native/icons/hand';
import { type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { feeding } from '@hoddle/core/kitchen/feeding';
import { openBefore } from '@hoddle/core/kitchen/openBefore';
import { readStep, stepClock } from '@hoddle/core/kitchen/stepClock';
import { type HandsNow, isDue } from '@hoddle/core/kitchen/whatNow';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { type Day, type LiveDay } from '@hoddle/core/kitchen/dayInHand';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useNow } from '@/store/useHousehold';
import { clockTimeFrom, countdown } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { useSingleTap } from '@/ui/useSingleTap';
import { Words } from '@/ui/Words';
import { DoseKey } from './DoseKey';
import { KitchenKey } from '@/ui/KitchenKey';
import { RanShort } from './RanShort';
import { StartStep } from './StartStep';
import { StepAmounts } from './StepAmounts';
import { useTellDay } from '@/household/kitchen/useTellDay';

const MINUTE_MS = 60_000;

interface HandsCardProps {
  day: Day;
  live: LiveDay;
  hands: HandsNow;
  /** With one pair of hands nobody is named. */
  isNamed: boolean;
}

/** What one pair of hands does now, with the one key for it, and what comes then. */
export function HandsCard({ day, live, hands, isNamed }: HandsCardProps) {
  const { now: own, then } = hands;
  const today = useNow(60_000);
  const at = (minute: number) => clockTimeFrom(day.startAt + minute * MINUTE_MS, today);
  const due = own && (own.running || isDue(own.entry, live.progress));
  return (
    <View
      role="group"
      aria-label={`${hands.cook}, now`}
      className="gap-2 border-t-2 border-rim-dark bg-granite-panel px-4 py-3"
    >
      <View className="flex-row items-center gap-3">
        <Hand size={26} color={COLOURS.milk} />
        <Words size="lead" weight={700} tone="milk" className="flex-1">
          {isNamed ? hands.cook : 'Hands'}
        </Words>
        {own && (
          <Words size="lead" tone="milk-2">
            {due ? `to ${at(own.entry.endMin)}` : `at ${at(own.entry.startMin)}`}
          </Words>
        )}
      </View>
      {own ? (
        <HandsStep
          day={day}
          live={live}
          entry={own.entry}
          running={own.running}
          then={then}
          cook={isNamed ? hands.cook : undefined}
        />
      ) : (
        <Words size="head" weight={700} tone="milk">
          Free
        </Words>
      )}
      {then && (
        <Words size="lead" tone="milk-2">
          then{' '}
          <Words size="lead" weight={700} tone="milk">
            {stepWords(then, day)}
          </Words>
          , {at(then.startMin)}
        </Words>
      )}
    </View>
  );
}

function HandsStep({
  day,
  live,
  entry,
  running,
  then,
  cook,
}: {
  day: Day;
  live: LiveDay;
  entry: ScheduledTask;
  running: boolean;
  then?: ScheduledTask;
  /** Whose hands they are, where there are several. */
  cook: string | undefined;
}) {
  const router = useRouter();
  const tell = useTellDay(day.id);
  const { task } = entry;
  const planned = day.batches.find(({ id }) => id === task.batchId);
  const load = planned?.loads.find(({ id }) => id === task.loadId);
  // In the jars of its own load.
  const batch = planned && load ? ofLoad(planned, load) : planned;
  const clock = stepClock(task);
  const now = useNow(1_000);
  const reading = readStep(clock, live.progress.of.get(task.id), day.state.steps.get(task.id), {
    startAt: day.startAt,
    now,
  });
  const enter = useHouseholdStore((store) => store.enter);
  const by = cook === undefined ? {} : { cook };
  const done = useSingleTap(() => {
    tell({ type: 'step-done', taskId: task.id });
    const stored = task.kind === 'store' ? day.loads.find(({ id }) => id === task.loadId) : undefined;
    if (stored) {
      const event = {
        id: uuidV7(),
        loadId: stored.id,
        at: householdNow(),
        type: 'kept-cold',
        jars: stored.jars,
        lotId: uuidV7(),
      } as const;
      void enter({ kind: 'event', event });
    }
    // One step after the other on the same food needs no key of its own.
    const follows = then?.task.after.some((lag) => lag.task === task.id);
    if (!then || !follows || then.task.cannerId !== undefined) return;
    const others = openBefore(then.task, live.running, now, live.progress).filter((open) => open.task.id !== task.id);
    if (others.length === 0) tell({ type: 'step-started', taskId: then.task.id, ...by });
  });
  const timed = reading?.leftMs !== undefined;
  const fedBy = feeding(task, live.running.tasks, live.progress);
  return (
    <>
      <Words size="head" weight={800} tone="milk" style={{ fontSize: 26, lineHeight: 31 }}>
        {stepWords(entry, day)}
      </Words>
      {timed && (
        <Words role="timer" weight={800} tone="milk" style={{ fontSize: 54, lineHeight: 58 }}>
          {countdown(reading.leftMs ?? 0)}
        </Words>
      )}
      {fedBy && (
        <Words size="lead" tone="milk-2">
          Fed by “{fedBy.words}”: take what is done of it.
        </Words>
      )}
      {task.kind === 'cool-water' && (
        <Words size="lead" weight={700} tone="milk">
          Ladle the hot water out first, then pour the cold along the wall, never onto glass. Stir, and look at the
          thermometer: raw jars crack in hotter water.
        </Words>
      )}
      <StepAmounts key={task.id} task={task} batch={batch} />
      {running && <RanShort key={`short ${task.id}`} task={task} batch={batch} />}
      {task.kind === 'load' && task.loadId !== undefined ? (
        <KitchenKey
          look="milk"
          words={`Load ${numberOf(task.loadId, day)} into the canner`}
          onPress={() => router.navigate({ pathname: '/plan/load/[loadId]', params: { loadId: task.loadId ?? '' } })}
        />
      ) : task.kind === 'unload' ? (
        <Words size="lead" tone="milk-2">
          Tap “Jars are out” at its pot.
        </Words>
      ) : !running ? (
        <StartStep key={`start ${task.id}`} day={day} live={live} entry={entry} by={by} />
      ) : clock.gate ? (
        <KitchenKey
          look="milk"
          words="Measure"
          onPress={() => router.navigate({ pathname: '/kitchen/measure/[taskId]', params: { taskId: task.id } })}
        />
      ) : (
        <>
          {clock.tapMin !== undefined && (
            <KitchenKey
              look="amber"
              words={tapWords(clock.tapMin, timed)}
              onPress={() => tell({ type: 'clock-started', taskId: task.id, minutes: clock.tapMin ?? 1 })}
            />
          )}
          {batch && task.entry === 'acid' ? (
            <DoseKey key={task.id} batch={batch} onDone={done} />
          ) : (
            <KitchenKey
              look="milk"
              words={task.kind === 'cool-water' ? 'Thermometer: cool enough' : 'Done'}
              onPress={done}
            />
          )}
        </>
      )}
    </>
  );
}

/** A step with its product, and with its load where there are several. */
export function stepWords({ task }: ScheduledTask, day: Day): string {
  const batch = day.batches.find(({ id }) => id === task.batchId);
  if (!batch) return task.words;
  const own = batch.loads.find(({ id }) => id === task.loadId);
  const number = own && batch.loads.length > 1 ? numberOf(own.id, day) : 0;
  // As many as stand in it, whatever was planned.
  const inside = task.kind === 'unload' ? day.loads.find(({ id }) => id === task.loadId) : undefined;
  const words = inside ? `Lift out ${countJars(inside.jars, ofLoad(batch, own ?? {}).jar)}` : task.words;
  return `${words}, ${nameOf(batch, own).toLowerCase()}${number > 0 ? `, load ${number}` : ''}`;
}

function numberOf(loadId: string, day: Day): number {
  return day.loads.findIndex(({ id }) => id === loadId) + 1;
}

function tapWords(minutes: number, again: boolean): string {
  return `${again ? 'Again: ' : ''}Rolls hard: start ${minutes}:00`;
}
