import { type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { IN_CANNER } from '@hoddle/core/kitchen/dayClose';
import { isDue } from '@hoddle/core/kitchen/whatNow';
import { countJars } from '@hoddle/core/handbook/jars';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { placeInDay } from '@/household/day/placeInDay';
import { type Day, type DayLoad, type LiveDay } from '@hoddle/core/kitchen/dayInHand';
import { useNow } from '@/store/useHousehold';
import { clockTimeFrom, duration } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { HeatSign } from '@/ui/HeatSign';
import { useSingleTap } from '@/ui/useSingleTap';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { LoadPot } from './LoadPot';
import { Pot } from './Pot';
import { ProbeLine } from './ProbeLine';
import { type RunningLoad } from '@/household/kitchen/useLoad';
import { useTellDay } from '@/household/kitchen/useTellDay';

const MINUTE_MS = 60_000;

interface CannerPartProps {
  day: Day;
  live: LiveDay;
  canner: { readonly id: string; readonly name: string; readonly timesItself: boolean; readonly lidLocks: boolean };
  /** Loads of the household, with what was told of them. */
  loads: readonly RunningLoad[];
}

/** One canner of the day: the load in it, or its water, or what comes into it next. */
export function CannerPart({ day, live, canner, loads }: CannerPartProps) {
  const own = day.loads.filter(({ cannerId }) => cannerId === canner.id);
  const held = own.find(({ phase }) => IN_CANNER.includes(phase));
  const running = held && loads.find(({ load }) => load.id === held.id);
  if (running) {
    const place = placeInDay(day, running.batch, running.load);
    return <LoadPot running={running} place={place} canner={canner} isOneOfMany />;
  }
  const next = own.find(({ phase }) => phase === 'planned');
  return (
    <View className="gap-4" role="group" aria-label={canner.name}>
      <View className="min-h-[48px] flex-row items-center gap-3">
        <Words size="head" weight={700} tone="milk" className="flex-1">
          {canner.name}
        </Words>
        {next && (
          <Words size="lead" tone="milk-2">
            load {day.loads.indexOf(next) + 1}: {countJars(next.jars, next.batch.jar)}
          </Words>
        )}
      </View>
      {next && <ProbeLine loadId={next.id} cannerId={canner.id} phase="planned" method={next.batch.method} />}
      {next ? (
        <Waiting day={day} live={live} canner={canner} next={next} />
      ) : (
        <Pot heightPx={120} rim={COLOURS.restDark}>
          <Line>No more loads for it</Line>
        </Pot>
      )}
    </View>
  );
}

/** Before a load: the water put on, warming, hot. */
function Waiting({ day, live, canner, next }: Omit<CannerPartProps, 'loads'> & { next: DayLoad }) {
  const router = useRouter();
  const tell = useTellDay(day.id);
  const now = useNow(10_000);
  const isOf = (kind: string) => (entry: ScheduledTask) =>
    entry.task.kind === kind && (kind === 'load' ? entry.task.loadId === next.id : entry.task.cannerId === canner.id);
  const load = day.tasks.find(isOf('load'));
  // Of two days in one plan each heats its own water.
  const water = day.tasks.find(
    (entry) => isOf('preheat')(entry) && load?.task.after.some(({ task }) => task === entry.task.id),
  );
  const at = (minute: number) => clockTimeFrom(day.startAt + minute * MINUTE_MS, now);
  const water0 = water && live.progress.of.get(water.task.id);
  const put = useSingleTap(() => water && tell({ type: 'step-started', taskId: water.task.id }));
  const open = () => router.navigate({ pathname: '/plan/load/[loadId]', params: { loadId: next.id } });
  const opens = `Load ${day.loads.indexOf(next) + 1} into it`;
  if (water && water0 === undefined) {
    return (
      <>
        <Pot heightPx={150} rim={COLOURS.coldDark}>
          <HeatSign phase="planned" size={44} dark />
          <Line>Cold: water on at {at(water.startMin)}</Line>
        </Pot>
        <KitchenKey look={isDue(water, live.progress) ? 'amber' : 'outline'} words="Water is on" onPress={put} />
      </>
    );
  }
  const warming = water0?.kind === 'running';
  const cool = day.tasks.find(({ task }) => task.kind === 'cool-water' && task.loadId === next.id);
  const hasBoiled = day.loads.some((load) => load.cannerId === canner.id && load.phase !== 'planned');
  if (cool && hasBoiled && live.progress.of.get(cool.task.id)?.kind !== 'done') {
    return (
      <>
        <Pot heightPx={150} rim={COLOURS.heatDark}>
          <HeatSign phase="heating" size={44} dark />
          <Line>Too hot for raw jars</Line>
          <Line>{cool.task.words}</Line>
        </Pot>
        <KitchenKey look="outline" words={opens} onPress={open} />
      </>
    );
  }
  return (
    <>
      <Pot heightPx={150} rim={warming ? COLOURS.heatDark : COLOURS.restDark}>
        <HeatSign phase={warming ? 'heating' : 'planned'} size={44} dark />
        <Line>
          {warming
            ? `Warming, ${duration(Math.max(0, now - day.startAt - water0.startMin * MINUTE_MS))}`
            : 'Hot water, lid on'}
        </Line>
        {load && <Line>jars in at {at(load.startMin)}</Line>}
      </Pot>
      <KitchenKey look="outline" words={opens} onPress={open} />
    </>
  );
}

function Line({ children }: { children: React.ReactNode }) {
  return (
    <Words size="head" weight={700} tone="milk" className="text-center">
      {children}
    </Words>
  );
}
