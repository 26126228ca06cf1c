import { isCanned, nameOf } from '@hoddle/core/day/batch';
import { type Canner, type OwnJar } from '@hoddle/core/canner/canner';
import { capacityOf } from '@hoddle/core/canner/capacity';
import { cannerWords } from '@hoddle/core/day/cannerWords';
import { inLayers, type Layer } from '@hoddle/core/canner/layers';
import { countJars } from '@hoddle/core/handbook/jars';
import { useRouter } from 'expo-router';
import { memo, useDeferredValue } from 'react';
import { View } from 'react-native';
import { TableNote } from '@/ui/TableNote';
import { LoadMapDrawing } from '@/household/canner/LoadMapDrawing';
import { MissingNote } from '@/household/recipe/MissingNote';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold, useNow } from '@/store/useHousehold';
import { clockTimeFrom } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { HeatSign } from '@/ui/HeatSign';
import { JarTray } from '@/ui/JarTray';
import { Key } from '@/ui/Key';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';
import { SeasonLink } from '@/household/season/SeasonLink';
import { AlsoPlanned } from './AlsoPlanned';
import { DayStrip } from './DayStrip';
import { LifeLink } from './life/LifeLink';
import { NoDay } from './NoDay';
import { NotSoPart } from './NotSoPart';
import { daysWords, finishWords } from '@/household/day/finishWords';
import { phaseWords } from '@/household/day/phaseWords';
import { SearchPart } from './SearchPart';
import { type Day, type DayLoad, hasPlan } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';
import { useHasBegun } from './useHasBegun';

/** The preserving day: its strip, its loads, and where it stands. */
export function PlanScreen() {
  // A better plan is drawn in pieces between frames: the page never stalls while it searches.
  const day = useDeferredValue(useDay());
  return day ? <PlannedDay day={day} /> : <NoDay />;
}

const PlannedDay = memo(function PlannedDay({ day }: { day: Day }) {
  const router = useRouter();
  const wide = useIsWide();
  const now = useNow(20_000);
  const next = day.loads.find(({ phase }) => phase !== 'cooling' && phase !== 'checked');
  const count = `${day.loads.length} ${day.loads.length === 1 ? 'load' : 'loads'}`;
  const planned = hasPlan(day) ? day : undefined;
  return (
    <Screen
      station="plan"
      title={`${daysWords(day)}, ${count}`}
      note={next ? (hasPlan(day) ? finishWords(day) : 'No finish time yet') : 'All loads are out of the canner.'}
      bleed
      headSide={
        next && planned && <Key words={day.live ? 'Kitchen' : 'Start'} onPress={() => router.navigate('/kitchen')} />
      }
    >
      <View className={`pb-2 ${wide ? 'px-8' : 'px-4'}`}>
        {next && !day.live && <SearchPart day={day} />}
        <NotSoPart day={day} />
        <LifeLink day={day} />
        <SeasonLink />
        {planned && (
          <Words size="label" tone="ink-2">
            Solid: your hands. Hollow: it waits.
          </Words>
        )}
      </View>
      <View className={wide ? 'flex-row gap-8 px-8' : ''}>
        {planned && (
          <View className={wide ? 'w-[560px]' : ''}>
            <DayStrip day={planned} now={now} />
          </View>
        )}
        <View className={wide ? 'flex-1' : 'px-4 pt-4'}>
          <Heading className="pb-1">Loads</Heading>
          {day.loads.map((load, i) => (
            <LoadRow key={load.id} load={load} number={i + 1} day={day} />
          ))}
          <View className="gap-2 pt-3">
            <Key look="outline" words="Before you start" onPress={() => router.navigate('/plan/before')} />
            {planned && (
              <Key look="outline" words="Why then? Every step" onPress={() => router.navigate('/plan/steps')} />
            )}
            {planned && (
              <Key
                look="outline"
                words="On one sheet, for the wall"
                onPress={() => router.navigate({ pathname: '/paper/[what]', params: { what: 'run-sheet' } })}
              />
            )}
            <Key look="outline" words="Rehearse it" onPress={() => router.navigate('/plan/rehearse')} />
            <Key look="outline" words="In your calendar" onPress={() => router.navigate('/plan/calendar')} />
          </View>
          <GiveUp day={day} />
          <AlsoPlanned day={day} />
        </View>
      </View>
    </Screen>
  );
});

function LoadRow({ load, number, day }: { load: DayLoad; number: number; day: Day }) {
  const { canners, ownJars } = useHousehold().household;
  const start = day.tasks.find(({ task }) => task.loadId === load.id && task.kind === 'load');
  const at = start ? clockTimeFrom(day.startAt + start.startMin * 60_000, day.startAt) : '';
  const toKitchen = load.phase !== 'planned' && load.phase !== 'checked';
  const wide = useIsWide();
  const vessel = canners.find(({ id }) => id === load.cannerId);
  const canner = canners.length > 1 ? vessel?.name : undefined;
  return (
    <RowLink
      href={{ pathname: toKitchen ? '/kitchen/[loadId]' : '/plan/load/[loadId]', params: { loadId: load.id } }}
      className="min-h-[64px] flex-row items-center gap-3 border-t border-hair py-2"
    >
      <HeatSign phase={load.phase} size={24} />
      <View className="flex-1">
        <Words weight={700}>
          {number}: {countJars(load.jars, load.batch.jar)} {nameOf(load.batch, load).toLowerCase()}
        </Words>
        <Words size="label" tone="ink-2">
          {phaseWords(load.phase, load.batch.method)}
          {load.phase === 'planned' && at !== '' ? `, in at ${at}` : ''}.{' '}
          {cannerWords({ ...load.batch, processMinutes: load.minutes }).process}
          {canner ? `, ${canner}` : ''}.
        </Words>
        {load.guests.map((guest) => (
          <Words key={guest.load.id} size="label" weight={600}>
            With {countJars(guest.load.jars, guest.batch.jar)} {nameOf(guest.batch).toLowerCase()}.
          </Words>
        ))}
        {(load.phase === 'planned' || load.phase === 'heating') && <TableNote batch={load.batch} />}
        <MissingNote batch={load.batch} />
      </View>
      {wide && vessel ? (
        <LoadMapDrawing
          canner={vessel}
          jar={load.batch.jar}
          {...lowerLayer(vessel, load, ownJars)}
          hue={hueOfProduct(load.batch.product).hue}
          pxPerIn={MAP_PX / vessel.insideDiameterIn}
        />
      ) : (
        <JarTray
          size={load.batch.jar}
          jars={load.jars}
          places={load.jars}
          quartPx={20}
          {...hueOfProduct(load.batch.product)}
        />
      )}
    </RowLink>
  );
}

/** Width of a load map in a row. */
const MAP_PX = 88;

/** As many places as the rack takes, and never fewer than the load has jars; of two layers the lower one. */
function lowerLayer(canner: Canner, { jars, guests, batch }: DayLoad, ownJars: readonly OwnJar[]): Layer {
  const capacity = capacityOf(canner, batch.jar, { ...(isCanned(batch) && { method: batch.method }), ownJars });
  const all = jars + guests.reduce((sum, { load }) => sum + load.jars, 0);
  if (capacity.kind !== 'holds') return { jars: all, places: all };
  return inLayers(all, Math.max(all, capacity.jars), capacity.layers)[0] as Layer;
}

/** A batch that has not begun can be put off, or given up; its produce is on hand again. */
function GiveUp({ day }: { day: Day }) {
  const enter = useHouseholdStore((store) => store.enter);
  const router = useRouter();
  const hasBegun = useHasBegun();
  const idle = day.batches.filter((batch) =>
    day.loads.every(
      (load) =>
        load.phase === 'planned' ||
        (load.batch.id !== batch.id && load.guests.every((guest) => guest.batch.id !== batch.id)),
    ),
  );
  return (
    <View className="gap-2 pt-3">
      {idle.map((batch) => (
        <View key={batch.id} className="gap-2">
          {!hasBegun(batch) && (
            <Key
              look="outline"
              words={`${nameOf(batch)}: another day`}
              onPress={() => router.navigate({ pathname: '/plan/move/[batchId]', params: { batchId: batch.id } })}
            />
          )}
          <Key
            look="outline"
            words={`Give up ${nameOf(batch).toLowerCase()}`}
            onPress={() => enter({ kind: 'batch-struck', batchId: batch.id })}
          />
        </View>
      ))}
    </View>
  );
}
