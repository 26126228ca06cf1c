import { countJars } from '@hoddle/core/handbook/jars';
import { productRow } from '@hoddle/core/handbook/products';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { useNow } from '@/store/useHousehold';
import { clockTime, clockTimeFrom, weekday } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { HeatSign } from '@/ui/HeatSign';
import { JarTray } from '@/ui/JarTray';
import { Key } from '@/ui/Key';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';
import { DayStrip } from './DayStrip';
import { PHASE_WORDS } from './phaseWords';
import { type Day, type DayLoad, useDay } from './useDay';

/** The preserving day: its strip, its loads, and where it stands. */
export function PlanScreen() {
  const day = useDay();
  return day ? <PlannedDay day={day} /> : <NoDay />;
}

function NoDay() {
  const router = useRouter();
  return (
    <Screen station="plan" title="No day planned">
      <View className="max-w-[560px] gap-4">
        <View className="h-[150px] items-center justify-center rounded-plate border-2 border-dashed border-key-edge">
          <Words tone="ink-2">The hours of a preserving day stand here.</Words>
        </View>
        <Words>Choose what the produce on hand becomes; the loads and their clock times follow.</Words>
        <Key words="See what is on hand" onPress={() => router.navigate('/harvest')} />
      </View>
    </Screen>
  );
}

function PlannedDay({ day }: { day: Day }) {
  const router = useRouter();
  const wide = useIsWide();
  const now = useNow(20_000);
  const next = day.loads.find(({ phase }) => phase !== 'cooling' && phase !== 'checked');
  const count = `${day.loads.length} ${day.loads.length === 1 ? 'load' : 'loads'}`;
  const open = () => {
    if (!next) return;
    if (next.phase === 'planned') router.navigate({ pathname: '/plan/load/[loadId]', params: { loadId: next.id } });
    else router.navigate({ pathname: '/kitchen/[loadId]', params: { loadId: next.id } });
  };
  return (
    <Screen
      station="plan"
      title={`${weekday(day.startAt)}, ${count}`}
      note={
        next
          ? `Likely ${clockTimeFrom(day.likelyAt, day.startAt)}, 9 in 10 by ${clockTimeFrom(day.lateAt, day.startAt)}`
          : 'All loads are out of the canner.'
      }
      bleed
      headSide={
        next && (
          <Key
            words={next.phase === 'planned' ? (next.number === 1 ? 'Start' : `Load ${next.number}`) : 'Clock'}
            onPress={open}
          />
        )
      }
    >
      <Words size="label" tone="ink-2" className={`pb-2 ${wide ? 'px-8' : 'px-4'}`}>
        Solid: your hands. Hollow: it waits.
      </Words>
      <View className={wide ? 'flex-row gap-8 px-8' : ''}>
        <View className={wide ? 'w-[560px]' : ''}>
          <DayStrip day={day} now={now} />
        </View>
        <View className={wide ? 'flex-1' : 'px-4 pt-4'}>
          <Heading className="pb-1">Loads</Heading>
          {day.loads.map((load) => (
            <LoadRow key={load.id} load={load} day={day} />
          ))}
          <GiveUp day={day} />
        </View>
      </View>
    </Screen>
  );
}

function LoadRow({ load, day }: { load: DayLoad; day: Day }) {
  const start = day.tasks.find(({ task }) => task.loadId === load.id && task.kind === 'load');
  const at = start ? clockTime(day.startAt + start.startMin * 60_000) : '';
  const toKitchen = load.phase !== 'planned' && load.phase !== 'checked';
  return (
    <RowLink
      href={{ pathname: toKitchen ? '/kitchen/[loadId]' : '/plan/load/[loadId]', params: { loadId: load.id } }}
      className="min-h-[64px] flex-row items-center gap-3 border-t border-hair py-2"
    >
      <HeatSign phase={load.phase} size={24} />
      <View className="flex-1">
        <Words weight={700}>
          {load.number}: {countJars(load.jars, load.batch.jar)} {productRow(load.batch.product).name.toLowerCase()}
        </Words>
        <Words size="label" tone="ink-2">
          {PHASE_WORDS[load.phase]}
          {load.phase === 'planned' ? `, in at ${at}` : ''}. {load.batch.processMinutes} min.
        </Words>
      </View>
      <JarTray
        size={load.batch.jar}
        jars={load.jars}
        places={load.jars}
        quartPx={20}
        {...hueOfProduct(load.batch.product)}
      />
    </RowLink>
  );
}

/** A batch that has not begun can be given up; its produce is on hand again. */
function GiveUp({ day }: { day: Day }) {
  const enter = useHouseholdStore((store) => store.enter);
  const idle = day.batches.filter((batch) =>
    day.loads.every((load) => load.batch !== batch || load.phase === 'planned'),
  );
  return (
    <View className="gap-2 pt-3">
      {idle.map((batch) => (
        <Key
          key={batch.id}
          look="outline"
          words={`Give up ${productRow(batch.product).name.toLowerCase()}`}
          onPress={() => enter({ kind: 'batch-struck', batchId: batch.id })}
        />
      ))}
    </View>
  );
}
