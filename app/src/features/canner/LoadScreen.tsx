import { capacityOf } from '@hoddle/core/canner/capacity';
import { type CannedBatch, isCanned, nameOf } from '@hoddle/core/day/batch';
import { JARS } from '@hoddle/core/handbook/jars';
import { type DayTask } from '@hoddle/core/day/dayProblem';
import { needsHands } from '@hoddle/core/day/restOfDay';
import { IN_CANNER } from '@hoddle/core/kitchen/dayClose';
import { openStepWords } from '@hoddle/core/kitchen/heldBackWords';
import { wayIn } from '@hoddle/core/day/inTheCanner';
import { LONG_WAIT_MIN } from '@hoddle/core/day/longWait';
import { agoChoices, atTheLoad } from '@hoddle/core/kitchen/atTheLoad';
import { guestsOf, type LoadOfBatch } from '@hoddle/core/day/sharedLoad';
import { type KitchenEvent, type Lids } from '@hoddle/core/kitchen/kitchenEvent';
import { productRow } from '@hoddle/core/handbook/products';
import { findTestedRow } from '@hoddle/core/process/findProcess';
import { METHOD_WORDS } from '@hoddle/core/process/method';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { TableNote } from '@/ui/TableNote';
import { v7 as uuidV7 } from 'uuid';
import { placeInDay } from '@/household/day/placeInDay';
import { LoadWishes } from '@/household/day/LoadWishes';
import { phaseWords } from '@/household/day/phaseWords';
import { useDay } from '@/household/day/useDay';
import { type RunningLoad, useLoad, useLoads } from '@/household/kitchen/useLoad';
import { WaterNow } from '@/household/instruments/WaterNow';
import { agoWords } from '@/household/kitchen/DoneBefore';
import { useOpenBefore } from '@/household/kitchen/useOpenBefore';
import { useStartDay } from '@/household/kitchen/useStartDay';
import { useTellDay } from '@/household/kitchen/useTellDay';
import { DosePart } from '@/ui/DosePart';
import { ProcessPart } from '@/household/process/ProcessPart';
import { usePages } from '@/household/process/usePages';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold, useNow } from '@/store/useHousehold';
import { Choice } from '@/ui/Choice';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';
import { checksOf, LoadChecklist } from './LoadChecklist';
import { LoadPlate } from './LoadPlate';
import { insideWords } from '@/household/kitchen/insideWords';

/** One load before it goes in: where the jars stand, how deep the water, how long, what goes into each jar. */
export function LoadScreen({ loadId }: { loadId: string }) {
  const running = useLoad(loadId);
  if (!running) {
    return (
      <Screen station="plan" title="No such load" backTo="/plan">
        <Words>It may have been given up on another screen.</Words>
      </Screen>
    );
  }
  const { batch } = running;
  if (!isCanned(batch)) {
    return (
      <Screen station="plan" title={nameOf(batch)} backTo="/plan">
        <Words>These jars go into no canner: filled, they cool 20 minutes and are put away cold.</Words>
      </Screen>
    );
  }
  return <Load running={{ ...running, batch }} />;
}

function Load({ running }: { running: RunningLoad & { readonly batch: CannedBatch } }) {
  const { load, order, state, besides } = running;
  const beside = besides.reduce((sum, { count }) => sum + count, 0);
  const router = useRouter();
  const wide = useIsWide();
  const enter = useHouseholdStore((store) => store.enter);
  const { household } = useHousehold();
  const { events, batches } = useHousehold();
  const [jars, setJars] = useState(state.jars);
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const [lids, setLids] = useState<Lids>(() => lastLids(events));
  const product = productRow(running.batch.product);
  const guests = guestsOf(load.id, batches);
  const day = useDay();
  const startDay = useStartDay(day);
  const tellDay = useTellDay(day?.id ?? '');
  const place = placeInDay(day, running.batch, load);
  const cannerId =
    day?.loads.find(({ id }) => id === load.id)?.cannerId ?? state.cannerId ?? load.cannerId ?? running.batch.cannerId;
  const canner = household.canners.find(({ id }) => id === cannerId);
  // As this canner processes it.
  const way = (canner && wayIn(canner, running.batch, load, batches)) ?? running.batch.method;
  const batch = { ...running.batch, method: way };
  const isOtherWay = way !== running.batch.method;
  const capacity = canner && capacityOf(canner, batch.jar, { method: batch.method, ownJars: household.ownJars });
  const places = capacity?.kind === 'holds' ? Math.max(capacity.jars, load.jars + beside) : load.jars;
  const busy = useLoads().find(
    (other) =>
      (other.state.cannerId ?? other.batch.cannerId) === cannerId &&
      other.load.id !== load.id &&
      IN_CANNER.includes(other.state.phase),
  );
  const pages = usePages();
  const row = findTestedRow(batch, pages);
  const planned = state.phase === 'planned';
  const { held, untold, asked } = atTheLoad(useOpenBefore(day, `load ${load.id}`, useNow(10_000)));
  const [agoMin, setAgoMin] = useState<Readonly<Record<string, number>>>({});
  const checks = [
    ...new Set(asked.map(doneWords)),
    ...checksOf(row.kind === 'testedRow' ? row : undefined, batch, household.units),
  ];
  const toCheck = checks.filter((check) => !ticked.includes(check)).length;
  const toKitchen = () => router.navigate('/kitchen');
  const start = () => {
    // A load that goes in begins the day, whoever forgot to say so.
    startDay();
    const at = householdNow();
    for (const task of untold) {
      tellDay({ type: 'done-before', taskId: task.id, endedAt: at - (agoMin[task.id] ?? 0) * 60_000 });
    }
    const told = { id: uuidV7(), loadId: load.id, at, type: 'load-started', jars, cannerId, lids } as const;
    void enter({ kind: 'event', event: { ...told, ...(isOtherWay && { way }) } });
    toKitchen();
  };
  return (
    <Screen
      station="plan"
      title={product.name}
      note={`Load ${place.number} of ${place.of}, ${canner?.name ?? 'canner gone'}`}
      backTo="/plan"
      foot={
        planned ? (
          <View className="gap-2">
            {busy && (
              <Words weight={600}>
                {canner?.name} still holds load {placeInDay(day, busy.batch, busy.load).number}:{' '}
                {phaseWords(busy.state.phase, busy.batch.method).toLowerCase()}.
              </Words>
            )}
            {held && (
              <Words role="alert" weight={600}>
                {openStepWords(held)}
              </Words>
            )}
            {toCheck > 0 && (
              <Words weight={600}>
                {toCheck} {toCheck === 1 ? 'thing' : 'things'} to tick first.
              </Words>
            )}
            <Key
              tall
              words={`${insideWords(jars, running)} ${jars + beside === 1 ? 'is' : 'are'} in, heat it`}
              disabled={busy !== undefined || held !== undefined || toCheck > 0 || order.untested !== undefined}
              onPress={start}
            />
          </View>
        ) : (
          <Key tall words={`${phaseWords(state.phase, batch.method)}: see the clock`} onPress={toKitchen} />
        )
      }
    >
      <View className={wide ? 'flex-row gap-10' : 'gap-4'}>
        <View className={wide ? 'w-[520px]' : ''}>
          {canner && (
            <LoadPlate
              canner={canner}
              batch={{ ...batch, processMinutes: order.processMinutes }}
              jars={jars}
              guests={guests}
              places={places}
              layers={capacity?.kind === 'holds' ? capacity.layers : 1}
              onJars={planned ? setJars : undefined}
            />
          )}
        </View>
        <View className="flex-1 gap-4">
          {planned && <TableNote batch={batch} />}
          {planned && isOtherWay && canner && (
            <Words weight={600}>
              In {canner.name} these jars go {METHOD_WORDS[way]}, for the same {order.processMinutes} min.
            </Words>
          )}
          {guests.length > 0 && (
            <Words weight={700}>
              All {order.processMinutes} min, the longest time in this canner. What needs less is softer after it.
            </Words>
          )}
          {row.kind === 'testedRow' && (
            <>
              <ProcessPart row={row} altitudeFt={batch.altitudeFt} checkedRows={pages.checkedRows} />
              <View className="border-t-2 border-hair pt-3">
                <DosePart row={row} jar={batch.jar} jars={jars} />
              </View>
              {guests.map((guest) => (
                <GuestDose key={guest.load.id} guest={guest} />
              ))}
            </>
          )}
          {planned && <WaterNow loadId={load.id} cannerId={cannerId} method={batch.method} />}
          {planned && (
            <LoadChecklist checks={checks} ticked={ticked} onTick={setTicked} lids={lids} onLids={setLids}>
              {asked
                .filter((task) => !needsHands(task) && task.minutes.p50 >= LONG_WAIT_MIN)
                .map((task) => (
                  <View key={task.id} className="gap-1">
                    <Words weight={600}>“{task.words}” was over</Words>
                    <Choice
                      label={`${task.words}, over`}
                      value={String(agoMin[task.id] ?? 0)}
                      onChoose={(ago) => setAgoMin({ ...agoMin, [task.id]: Number(ago) })}
                      options={agoChoices(task).map((ago) => ({ value: String(ago), words: agoWords(ago) }))}
                    />
                  </View>
                ))}
            </LoadChecklist>
          )}
          {planned && day && day.loads.some(({ id }) => id === load.id) && <LoadWishes day={day} loadId={load.id} />}
        </View>
      </View>
    </Screen>
  );
}

/** A step that nobody told of, as it is ticked off. */
function doneWords({ words }: DayTask): string {
  return `Done: ${words}`;
}

/** A household keeps to the lids it has. */
function lastLids(events: readonly KitchenEvent[]): Lids {
  const last = [...events].reverse().find(({ type }) => type === 'load-started');
  return last?.type === 'load-started' ? (last.lids ?? 'single-use') : 'single-use';
}

/** What goes into the jars of another batch that stand in the same canner. */
function GuestDose({ guest: { batch, load } }: { guest: LoadOfBatch }) {
  const row = findTestedRow(batch, usePages());
  if (row.kind !== 'testedRow') return null;
  return (
    <View className="border-t-2 border-hair pt-3">
      <Heading className="pb-2">
        {nameOf(batch)}, {JARS[batch.jar].several}
      </Heading>
      <DosePart row={row} jar={batch.jar} jars={load.jars} />
    </View>
  );
}
