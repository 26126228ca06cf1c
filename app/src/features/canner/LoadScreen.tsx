import { type Canner } from '@hoddle/core/canner/canner';
import { capacityOf } from '@hoddle/core/canner/capacity';
import { loadingOrder } from '@hoddle/core/canner/loadingOrder';
import { loadMap } from '@hoddle/core/canner/loadMap';
import { waterDepth } from '@hoddle/core/canner/waterDepth';
import { waterLitres } from '@hoddle/core/canner/waterLitres';
import { countJars, JARS } from '@hoddle/core/handbook/jars';
import { productRow } from '@hoddle/core/handbook/products';
import { printFraction } from '@hoddle/core/measure/fraction';
import { findTestedRow } from '@hoddle/core/process/findProcess';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { PHASE_WORDS } from '@/features/day/phaseWords';
import { useDay } from '@/features/day/useDay';
import { IN_CANNER, type RunningLoad, useLoad, useLoads } from '@/features/kitchen/useLoad';
import { DosePart } from '@/features/process/DosePart';
import { ProcessPart } from '@/features/process/ProcessPart';
import { usePages } from '@/features/process/usePages';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { hueOfProduct } from '@/ui/colours';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Stepper } from '@/ui/Stepper';
import { Words } from '@/ui/Words';
import { CannerSide } from './CannerSide';
import { LoadMapDrawing } from './LoadMapDrawing';

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
  return <Load running={running} />;
}

function Load({ running }: { running: RunningLoad }) {
  const { batch, load, state } = running;
  const router = useRouter();
  const wide = useIsWide();
  const enter = useHouseholdStore((store) => store.enter);
  const { household } = useHousehold();
  const [jars, setJars] = useState(state.jars);
  const product = productRow(batch.product);
  const day = useDay();
  const cannerId =
    day?.loads.find(({ id }) => id === load.id)?.cannerId ?? state.cannerId ?? load.cannerId ?? batch.cannerId;
  const canner = household.canners.find(({ id }) => id === cannerId);
  const capacity = canner && capacityOf(canner, batch.jar, { method: batch.method, ownJars: household.ownJars });
  const places = capacity?.kind === 'holds' ? Math.max(capacity.jars, load.jars) : load.jars;
  const busy = useLoads().find(
    (other) =>
      (other.state.cannerId ?? other.batch.cannerId) === cannerId &&
      other.load.id !== load.id &&
      IN_CANNER.includes(other.state.phase),
  );
  const pages = usePages();
  const row = findTestedRow(batch, pages);
  const planned = state.phase === 'planned';
  const toKitchen = () => router.navigate({ pathname: '/kitchen/[loadId]', params: { loadId: load.id } });
  const start = () => {
    const told = { id: uuidV7(), loadId: load.id, at: householdNow(), type: 'load-started', jars, cannerId } as const;
    enter({ kind: 'event', event: told });
    toKitchen();
  };
  return (
    <Screen
      station="plan"
      title={product.name}
      note={`Load ${load.number} of ${batch.loads.length}, ${canner?.name ?? 'canner gone'}`}
      backTo="/plan"
      foot={
        planned ? (
          <View className="gap-2">
            {busy && (
              <Words weight={600}>
                {canner?.name} still holds load {busy.load.number}: {PHASE_WORDS[busy.state.phase].toLowerCase()}.
              </Words>
            )}
            <Key
              tall
              words={`${countJars(jars, batch.jar)} ${jars === 1 ? 'is' : 'are'} in, heat it`}
              disabled={busy !== undefined}
              onPress={start}
            />
          </View>
        ) : (
          <Key tall words={`${PHASE_WORDS[state.phase]}: see the clock`} onPress={toKitchen} />
        )
      }
    >
      <View className={wide ? 'flex-row gap-10' : 'gap-4'}>
        <View className={wide ? 'w-[520px]' : ''}>
          {canner && (
            <LoadPlate
              canner={canner}
              running={running}
              jars={jars}
              places={places}
              onJars={planned ? setJars : undefined}
            />
          )}
        </View>
        <View className="flex-1 gap-4">
          {row.kind === 'testedRow' && (
            <>
              <ProcessPart row={row} altitudeFt={batch.altitudeFt} checkedRows={pages.checkedRows} />
              <View className="border-t-2 border-hair pt-3">
                <DosePart row={row} jar={batch.jar} jars={jars} />
              </View>
            </>
          )}
        </View>
      </View>
    </Screen>
  );
}

interface LoadPlateProps {
  canner: Canner;
  running: RunningLoad;
  jars: number;
  places: number;
  onJars?: (jars: number) => void;
}

function LoadPlate({ canner, running: { batch }, jars, places, onJars }: LoadPlateProps) {
  const { width } = useWindowDimensions();
  const colours = hueOfProduct(batch.product);
  const depth = waterDepth(canner, batch.jar, batch.processMinutes);
  const pxPerIn = (width < 1000 ? Math.min(170, width * 0.45) : 230) / canner.insideDiameterIn;
  const spacers = places - jars;
  const litres = waterLitres(canner, { ...batch, jars: places });
  const order = loadingOrder(loadMap(canner, batch.jar, places, jars).slice(0, jars)).map((i) => i + 1);
  const { several } = JARS[batch.jar];
  return (
    <Plate className="gap-3">
      <View className="-ml-2 flex-row gap-2">
        <LoadMapDrawing
          canner={canner}
          jar={batch.jar}
          jars={jars}
          places={places}
          hue={colours.hue}
          pxPerIn={pxPerIn}
          numbered
        />
        <View className="flex-1 gap-2 pt-1">
          <Words>
            <Words size="figure" weight={800}>
              {jars}
            </Words>
            <Words size="lead" weight={700}>
              {' '}
              {jars === 1 ? JARS[batch.jar].one : several}
            </Words>
          </Words>
          {onJars && (
            <Stepper
              label="Jars that went in"
              onLess={jars > 1 ? () => onJars(jars - 1) : undefined}
              onMore={jars < places ? () => onJars(jars + 1) : undefined}
            />
          )}
          <Words size="label" tone="ink-2">
            {spacers === 0
              ? 'Full: no spacers.'
              : `${spacers} ${spacers === 1 ? 'spacer' : 'spacers'}: jars of water, so that none tips.`}
          </Words>
          {jars > 2 && (
            <Words size="label" tone="ink-2">
              Set in {order.join(', ')}: the rack hangs level.
            </Words>
          )}
        </View>
      </View>
      {depth.kind === 'fits' ? (
        <View className="flex-row items-end">
          <CannerSide canner={canner} jar={batch.jar} depth={depth} pxPerIn={pxPerIn * 0.82} {...colours} />
          <View className="flex-1 justify-end gap-1 pb-3">
            <Words>
              <Words weight={800}>1 in</Words> over the lids at least
            </Words>
            <Words>
              <Words weight={800}>{printFraction(depth.leastIn)} in</Words> of water in all
            </Words>
            {litres !== undefined && (
              <Words size="label" tone="ink-2">
                About {Math.round(litres)} litres with the jars in it.
              </Words>
            )}
            {depth.startIn > depth.leastIn && (
              <Words size="label" tone="ink-2">
                Start with {printFraction(depth.startIn)} in: it boils away in a long process.
              </Words>
            )}
          </View>
        </View>
      ) : (
        <Words weight={700}>Too shallow by {printFraction(depth.missingIn)} in: take a deeper canner.</Words>
      )}
    </Plate>
  );
}
