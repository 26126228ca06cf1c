import { nameOf } from '@hoddle/core/day/batch';
import Hand from 'lucide-react-native/icons/hand';
import { countJars } from '@hoddle/core/handbook/jars';
import { IN_CANNER } from '@hoddle/core/kitchen/dayClose';
import { loadClock } from '@hoddle/core/kitchen/loadClock';
import { View } from 'react-native';
import { phaseWords } from '@/household/day/phaseWords';
import { placeInDay } from '@/household/day/placeInDay';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';
import { CurveLink } from '@/household/instruments/CurveLink';
import { useHousehold, useNow } from '@/store/useHousehold';
import { COLOURS } from '@/ui/colours';
import { HeatSign } from '@/ui/HeatSign';
import { useIsWide } from '@/ui/StationBar';
import { Words } from '@/ui/Words';
import { BrokenPart } from './BrokenPart';
import { KitchenFrame } from './KitchenFrame';
import { LoadPot } from './LoadPot';
import { type FollowingLoad, nextSteps } from '@/household/kitchen/nextSteps';
import { PassedOver } from './PassedOver';
import { ToldPart } from './ToldPart';
import { type RunningLoad, useLoad } from '@/household/kitchen/useLoad';
import { insideWords } from '@/household/kitchen/insideWords';

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
  const { batch, load, state } = running;
  const wide = useIsWide();
  const { household } = useHousehold();
  const day = useDay();
  const place = placeInDay(day, batch, load);
  const canner = household.canners.find(({ id }) => id === (state.cannerId ?? batch.cannerId));
  return (
    <KitchenFrame back={{ words: 'To all canners', to: '/kitchen' }} likelyAt={day?.likelyAt} lateAt={day?.lateAt}>
      <View className={wide ? 'flex-row gap-8 px-8 pb-6' : ''}>
        <View className={wide ? 'w-[640px] gap-4' : 'gap-4 px-4 pb-4'}>
          <LoadPot
            running={running}
            place={place}
            canner={canner ?? { name: 'Canner', timesItself: false, lidLocks: false }}
          />
        </View>
        <View className={wide ? 'flex-1 gap-6 pt-10' : 'border-t-2 border-rim-dark'}>
          <NextList running={running} following={place.following} />
          <View className={`gap-3 ${wide ? '' : 'p-4'}`}>
            {[...IN_CANNER, 'cooling'].includes(state.phase) && <BrokenPart running={running} />}
            <CurveLink loadId={load.id} />
            <ToldPart running={running} />
            {day && <PassedOver day={day} loadId={load.id} />}
          </View>
          {wide && day && <LoadsOfDay day={day} />}
        </View>
      </View>
    </KitchenFrame>
  );
}
function NextList({ running, following }: { running: RunningLoad; following?: FollowingLoad }) {
  const clock = loadClock(running.order, running.state, useNow(10_000));
  const steps = nextSteps(running, clock, useHousehold().household.units, following);
  const { state } = running;
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
          {insideWords(state.jars, running)} an inch apart on a towel. Never tighten bands now.
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
            {i + 1}: {countJars(load.jars, load.batch.jar)} {nameOf(load.batch, load).toLowerCase()}
          </Words>
          <Words size="lead" tone="milk-2">
            {phaseWords(load.phase, load.batch.method)}
          </Words>
        </View>
      ))}
    </View>
  );
}
