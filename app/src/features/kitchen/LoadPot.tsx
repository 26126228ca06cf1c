import { nameOf } from '@hoddle/core/day/batch';
import { loadClock } from '@hoddle/core/kitchen/loadClock';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { View } from 'react-native';
import { type PlaceInDay } from '@/household/day/placeInDay';
import { useNow } from '@/store/useHousehold';
import { COLOURS } from '@/ui/colours';
import { HeatSign } from '@/ui/HeatSign';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { PhasePart } from './PhasePart';
import { ProbeLine } from './ProbeLine';
import { TooSoonPart } from './TooSoonPart';
import { UndoLine } from './UndoLine';
import { type RunningLoad } from '@/household/kitchen/useLoad';
import { useLoadTaps } from '@/household/kitchen/useLoadTaps';

interface LoadPotProps {
  running: RunningLoad;
  place: PlaceInDay;
  canner: { readonly id?: string; readonly name: string; readonly timesItself: boolean; readonly lidLocks: boolean };
  /** Beside others: what else can be told of the load lies behind its name. */
  isOneOfMany?: boolean;
}

/** A load in its canner: the pot with its clock, and the one thing that can be done now. */
export function LoadPot({ running, place, canner, isOneOfMany }: LoadPotProps) {
  const taps = useLoadTaps(running);
  const { batch, load } = running;
  const words = `${nameOf(batch).toLowerCase()}, load ${place.number} of ${place.of}`;
  const head = (
    <>
      <PhaseSign running={running} />
      <Words size="head" weight={700} tone="milk" numberOfLines={1} className="max-w-[60%]">
        {canner.name}
      </Words>
      <Words size="lead" tone="milk-2" weight={500} className="flex-1 text-right">
        {nameOf(batch).toLowerCase()}
        {`\nload ${place.number} of ${place.of}`}
      </Words>
    </>
  );
  return (
    <View className="gap-4" role="group" aria-label={`${canner.name}: ${words}`}>
      {isOneOfMany ? (
        <RowLink
          href={{ pathname: '/kitchen/[loadId]', params: { loadId: load.id } }}
          label={`More of ${canner.name}: ${words}`}
          className="min-h-[48px] flex-row items-center gap-3"
        >
          {head}
          <ChevronRight size={26} strokeWidth={2.4} color={COLOURS.milk} />
        </RowLink>
      ) : (
        <View className="flex-row items-center gap-3">{head}</View>
      )}
      {canner.id !== undefined && (
        <ProbeLine loadId={load.id} cannerId={canner.id} phase={running.state.phase} method={running.batch.method} />
      )}
      {taps.tooSoonMs === undefined ? (
        <Ticking running={running} place={place} taps={taps} canner={canner} />
      ) : (
        <TooSoonPart running={running} taps={taps} />
      )}
      {taps.tooSoonMs === undefined && <UndoLine running={running} taps={taps} />}
    </View>
  );
}

/** Only what shows seconds is drawn every second. */
function Ticking({
  running,
  place,
  taps,
  canner,
}: {
  running: RunningLoad;
  place: PlaceInDay;
  taps: ReturnType<typeof useLoadTaps>;
  canner: LoadPotProps['canner'];
}) {
  const now = useNow(1_000);
  const clock = loadClock(running.order, running.state, now);
  return (
    <PhasePart running={running} clock={clock} now={now} following={place.following} taps={taps} canner={canner} />
  );
}

function PhaseSign({ running: { order, state } }: { running: RunningLoad }) {
  const clock = loadClock(order, state, useNow(1_000));
  const alarm = 'timeIsUp' in clock && clock.timeIsUp && clock.kind !== 'falling';
  const lost = state.phase === 'heating' && state.timesLost > 0;
  return <HeatSign phase={alarm ? 'alarm' : lost ? 'lost' : state.phase} size={28} dark />;
}
