import { type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { IN_CANNER } from '@hoddle/core/kitchen/dayClose';
import { ringing } from '@hoddle/core/kitchen/alarms';
import { isDue, nextThings, whatNow } from '@hoddle/core/kitchen/whatNow';
import { needsHands } from '@hoddle/core/day/restOfDay';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { pastWords } from '@/household/day/finishWords';
import { type Day, hasPlan, type LiveDay } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';
import { useHousehold } from '@/store/useHousehold';
import { useIsWide } from '@/ui/StationBar';
import { Words } from '@/ui/Words';
import { CannerPart } from './CannerPart';
import { ChangeLine } from './ChangeLine';
import { CoolingRows } from './CoolingRows';
import { cooksNow } from './cooksNow';
import { HandsCard } from './HandsCard';
import { KitchenFrame } from './KitchenFrame';
import { KitchenKey } from '@/ui/KitchenKey';
import { LiveStrip } from './LiveStrip';
import { NextThings } from './NextThings';
import { StartPart } from './StartPart';
import { ThermometerRow } from './ThermometerRow';
import { UndoStep } from './UndoStep';
import { useAlarms } from './useAlarms';
import { useLoads } from '@/household/kitchen/useLoad';
import { WaitRow } from './WaitRow';

/** The kitchen of the day: every canner with its clock, what each pair of hands does now, what comes next. */
export function KitchenHome() {
  const day = useDay();
  const router = useRouter();
  const back = { words: 'Back to the day', to: '/plan' } as const;
  if (!day) {
    return (
      <KitchenFrame back={back}>
        <View className="max-w-[640px] gap-4 px-4">
          <Words size="head" weight={700} tone="milk">
            Nothing is planned for today.
          </Words>
          <KitchenKey look="milk" words="Plan a day" onPress={() => router.navigate('/plan')} />
        </View>
      </KitchenFrame>
    );
  }
  return (
    <KitchenFrame back={back} likelyAt={day.likelyAt} lateAt={day.lateAt} note={loadsWords(day)}>
      {day.live ? (
        <Running day={day} live={day.live} />
      ) : hasPlan(day) ? (
        <StartPart day={day} />
      ) : (
        <Words size="head" tone="milk" className="px-4">
          Laying out the day.
        </Words>
      )}
    </KitchenFrame>
  );
}

function Running({ day, live }: { day: Day; live: LiveDay }) {
  const router = useRouter();
  const wide = useIsWide();
  const { canners } = useHousehold().household;
  const loads = useLoads();
  const { alarms, now } = useAlarms();
  const calls = ringing(alarms, now);
  const hands = whatNow(cooksNow(day, now), day.tasks, live.progress, day.state.steps);
  const atHand = hands.flatMap(({ now: own, then }) => [own?.entry, then].flatMap((entry) => entry?.task.id ?? []));
  const waits = day.tasks.filter((entry) => isWait(entry, live));
  const beside = [...atHand, ...waits.map(({ task }) => task.id)];
  const used = canners.filter(({ id }) => day.loads.some(({ cannerId }) => cannerId === id));
  const hot = calls.filter(({ kind }) => kind === 'thermometer');
  const callOf = ({ task }: ScheduledTask) => calls.find(({ taskId }) => taskId === task.id);
  const row = (entry: ScheduledTask) => (
    <WaitRow key={entry.task.id} day={day} live={live} entry={entry} alarm={callOf(entry)} />
  );
  const side = (
    <>
      {hands.map((own) => (
        <HandsCard key={own.cook} day={day} live={live} hands={own} isNamed={hands.length > 1} />
      ))}
      <UndoStep day={day} />
      {waits.filter((entry) => !callOf(entry)).map(row)}
    </>
  );
  const next = <NextThings day={day} things={nextThings(day.tasks, live.progress, beside)} />;
  const past = hasPlan(day) ? pastWords(day) : undefined;
  return (
    <View className="gap-4 pb-6">
      {past && (
        <Words size="lead" tone="milk-2" className={wide ? 'px-6' : 'px-4'}>
          The day {past}.
        </Words>
      )}
      {waits.filter(callOf).map(row)}
      {hot.map((alarm) => (
        <ThermometerRow key={alarm.id} day={day} alarm={alarm} />
      ))}
      <View className={wide ? 'flex-row flex-wrap gap-6 px-6' : 'gap-4'}>
        {used.map((canner) => (
          <View key={canner.id} className={wide ? 'w-[400px]' : 'px-4'}>
            <CannerPart day={day} live={live} canner={canner} loads={loads} />
          </View>
        ))}
        <View className={wide ? 'min-w-[320px] flex-1 gap-3' : 'gap-4'}>
          <View className={wide ? '' : 'px-4'}>
            <ChangeLine day={day} live={live} />
          </View>
          <View className={wide ? 'gap-3' : ''}>{side}</View>
        </View>
      </View>
      {next}
      <CoolingRows day={day} loads={loads} />
      {wide && <LiveStrip day={day} now={now} />}
      <View className={wide ? 'flex-row gap-4 px-6' : 'gap-3 px-4'}>
        <View className={wide ? 'flex-1' : ''}>
          <KitchenKey look="outline" words="Something changed" onPress={() => router.navigate('/kitchen/change')} />
        </View>
        <View className={wide ? 'flex-1' : ''}>
          <KitchenKey look="outline" words="Close the day" onPress={() => router.navigate('/kitchen/close')} />
        </View>
      </View>
    </View>
  );
}

/** What passes by itself and runs, or is to be put on now. */
function isWait(entry: ScheduledTask, { progress }: LiveDay): boolean {
  const { task } = entry;
  if (needsHands(task) || task.cannerId !== undefined) return false;
  const own = progress.of.get(task.id);
  if (own) return own.kind === 'running';
  return isDue(entry, progress) && task.after.every((lag) => progress.of.get(lag.task)?.kind === 'done');
}

function loadsWords({ loads }: Day): string {
  const numbers = (phases: readonly string[]) =>
    loads.flatMap(({ phase }, i) => (phases.includes(phase) ? [i + 1] : [])).join(', ');
  const inside = numbers(IN_CANNER);
  const toCome = numbers(['planned']);
  return [...(inside ? [`in: load ${inside}`] : []), ...(toCome ? [`to come: ${toCome}`] : [])].join(', ');
}
