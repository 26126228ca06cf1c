import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import Hand from 'lucide-react-native/icons/hand';
import { productRow } from '@hoddle/core/handbook/products';
import { countJars } from '@hoddle/core/handbook/jars';
import { type KitchenEventType } from '@hoddle/core/kitchen/kitchenEvent';
import { loadClock } from '@hoddle/core/kitchen/loadClock';
import { useRouter } from 'expo-router';
import { Pressable, ScrollView, View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { DemoClock } from '@/features/today/DemoClock';
import { SignalLine } from '@/features/today/SignalLine';
import { phaseWords } from '@/features/day/phaseWords';
import { placeInDay } from '@/features/day/placeInDay';
import { type Day, useDay } from '@/features/day/useDay';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold, useNow } from '@/store/useHousehold';
import { clockTime } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { HeatSign } from '@/ui/HeatSign';
import { Speckle } from '@/ui/Speckle';
import { useIsWide } from '@/ui/StationBar';
import { useSingleTap } from '@/ui/useSingleTap';
import { Words } from '@/ui/Words';
import { type FollowingLoad, nextSteps } from './nextSteps';
import { PhasePart } from './PhasePart';
import { type RunningLoad, useLoad } from './useLoad';

type Tap = Exclude<KitchenEventType, 'load-started' | 'seal-checked'>;

/** The kitchen clock of one load, dark, to be read from two metres away. */
export function KitchenScreen({ loadId }: { loadId: string }) {
  const running = useLoad(loadId);
  if (!running) {
    return (
      <View className="kitchen flex-1 items-center justify-center bg-granite">
        <Words tone="milk" size="head" weight={700}>
          No such load
        </Words>
      </View>
    );
  }
  return <Kitchen running={running} />;
}

function Kitchen({ running }: { running: RunningLoad }) {
  const { batch, load } = running;
  const wide = useIsWide();
  const { household } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  const day = useDay();
  const place = placeInDay(day, batch, load);
  const canner =
    household.canners.find(({ id }) => id === (running.state.cannerId ?? batch.cannerId))?.name ?? 'Canner';
  const tap = useSingleTap((type: Tap) =>
    enter({ kind: 'event', event: { id: uuidV7(), loadId: load.id, at: householdNow(), type } }),
  );
  return (
    <View className="kitchen flex-1 bg-granite" role="main">
      <Speckle />
      <DemoClock />
      <SignalLine />
      <KitchenHead likelyAt={day?.likelyAt} />
      <ScrollView className="flex-1" contentContainerClassName={wide ? 'flex-row gap-8 px-8 pb-6' : 'pb-0'}>
        <View className={wide ? 'w-[640px] gap-4' : 'gap-4 px-4 pb-4'}>
          <View className="flex-row items-center gap-3">
            <PhaseSign running={running} />
            <Words size="head" weight={700} tone="milk" className="flex-1">
              {canner}
            </Words>
            <Words size="lead" tone="milk-2" weight={500}>
              {productRow(batch.product).name.toLowerCase()}, load {place.number} of {place.of}
            </Words>
          </View>
          <TickingPhase running={running} following={place.following} onTap={tap} />
        </View>
        <View className={wide ? 'flex-1 gap-6 pt-10' : 'border-t-2 border-rim-dark'}>
          <NextList running={running} following={place.following} />
          {wide && day && <LoadsOfDay day={day} />}
        </View>
      </ScrollView>
    </View>
  );
}

/** Only what shows seconds is drawn every second. */
function TickingPhase({
  running,
  following,
  onTap,
}: {
  running: RunningLoad;
  following?: FollowingLoad;
  onTap: (tap: Tap) => void;
}) {
  const now = useNow(1_000);
  const clock = loadClock(running.order, running.state, now);
  return <PhasePart running={running} clock={clock} now={now} following={following} onTap={onTap} />;
}

function PhaseSign({ running: { order, state } }: { running: RunningLoad }) {
  const clock = loadClock(order, state, useNow(1_000));
  const alarm = clock.kind === 'boiling' && clock.timeIsUp;
  const lost = state.phase === 'heating' && state.timesLost > 0;
  return <HeatSign phase={alarm ? 'alarm' : lost ? 'lost' : state.phase} size={28} dark />;
}

function KitchenHead({ likelyAt }: { likelyAt?: number }) {
  const router = useRouter();
  const now = useNow(5_000);
  return (
    <View className="flex-row items-center px-2 py-2">
      <Pressable
        role="button"
        aria-label="Back to the day"
        onPress={() => router.navigate('/plan')}
        className="h-[72px] w-[64px] items-center justify-center"
      >
        <ChevronLeft size={40} strokeWidth={2.4} color={COLOURS.milk} />
      </Pressable>
      <Words weight={800} tone="milk" className="flex-1" style={{ fontSize: 34, lineHeight: 40 }}>
        {clockTime(now)}
      </Words>
      {likelyAt !== undefined && (
        <View className="items-end pr-3">
          <Words size="lead" tone="milk-2">
            likely done
          </Words>
          <Words size="head" weight={800} tone="milk">
            {clockTime(likelyAt)}
          </Words>
        </View>
      )}
    </View>
  );
}

function NextList({ running, following }: { running: RunningLoad; following?: FollowingLoad }) {
  const clock = loadClock(running.order, running.state, useNow(10_000));
  const steps = nextSteps(running, clock, following);
  const { state, batch } = running;
  return (
    <View className="bg-granite-panel" role="list" aria-label="Next steps">
      {steps.map(({ when, words }, i) => (
        <View
          key={words}
          role="listitem"
          className={`min-h-[68px] flex-row items-center gap-3 px-4 py-2 ${i > 0 ? 'border-t-2 border-granite-line' : ''}`}
        >
          <View className="w-[104px] flex-row items-center gap-2">
            {i === 0 && <Hand size={22} color={COLOURS.milk} />}
            <Words size="lead" weight={800} tone="milk">
              {when}
            </Words>
          </View>
          <Words size="lead" weight={500} tone="milk" className="flex-1">
            {words}
          </Words>
        </View>
      ))}
      {clock.kind === 'cooling' && (
        <Words tone="milk-2" className="px-4 py-3">
          {countJars(state.jars + running.besides, batch.jar)} an inch apart on a towel. Never tighten bands now.
        </Words>
      )}
    </View>
  );
}

/** On a wide screen there is room for all loads of the day, each with its state. */
function LoadsOfDay({ day }: { day: Day }) {
  return (
    <View role="list" aria-label="Loads of the day">
      {day.loads.map((load, i) => (
        <View
          key={load.id}
          role="listitem"
          className="min-h-[52px] flex-row items-center gap-4 border-t-2 border-granite-line px-4"
        >
          <HeatSign phase={load.phase} size={24} dark />
          <Words size="lead" weight={600} tone="milk" className="flex-1">
            {i + 1}: {countJars(load.jars, load.batch.jar)} {productRow(load.batch.product).name.toLowerCase()}
          </Words>
          <Words size="lead" tone="milk-2">
            {phaseWords(load.phase, load.batch.method)}
          </Words>
        </View>
      ))}
    </View>
  );
}
