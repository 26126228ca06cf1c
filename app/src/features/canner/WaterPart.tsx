import { type Canner, isPressure } from '@hoddle/core/canner/canner';
import { waterDepth } from '@hoddle/core/canner/waterDepth';
import { PRESSURE_IN, waterLevelIn, waterLitres } from '@hoddle/core/canner/waterLitres';
import { type CannedBatch } from '@hoddle/core/day/batch';
import { printFraction } from '@hoddle/core/measure/fraction';
import { type ReactNode } from 'react';
import { View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { hueOfProduct } from '@/ui/colours';
import { bathWords } from '@/ui/bathWords';
import { Words } from '@/ui/Words';
import { CannerSide } from './CannerSide';

interface WaterPartProps {
  canner: Canner;
  batch: CannedBatch;
  /** Jars and spacers that stand in the water. */
  places: number;
  pxPerIn: number;
}

/** How much water a load wants: over the lids in a pot, a few inches under pressure, under the rack in steam. */
export function WaterPart({ canner, batch, places, pxPerIn }: WaterPartProps) {
  const { household } = useHousehold();
  const own = household.ownJars.find(({ size }) => size === batch.jar);
  const question = { ...batch, jars: places, ...(own && { own }) };
  const waterIn = waterLevelIn(canner, question);
  const litres = waterLitres(canner, question);
  if (waterIn === undefined) return <TooShallow canner={canner} batch={batch} />;
  return (
    <View className="flex-row items-end">
      <CannerSide
        canner={canner}
        jar={batch.jar}
        waterIn={waterIn}
        pxPerIn={pxPerIn}
        {...hueOfProduct(batch.product)}
      />
      <View className="flex-1 justify-end gap-1 pb-3">
        {isPressure(batch.method) ? (
          <UnderPressure canner={canner} />
        ) : batch.method === 'steam' ? (
          <Words>
            Water <Words weight={800}>under the rack</Words>, enough not to boil dry
          </Words>
        ) : (
          <OverLids canner={canner} batch={batch} />
        )}
        {litres !== undefined && (
          <Words size="label" tone="ink-2">
            About {Math.round(litres)} litres with the jars in it.
          </Words>
        )}
      </View>
    </View>
  );
}

function OverLids({ canner, batch }: { canner: Canner; batch: CannedBatch }): ReactNode {
  const { household } = useHousehold();
  const own = household.ownJars.find(({ size }) => size === batch.jar);
  const depth = waterDepth(canner, batch.jar, batch.processMinutes, own);
  if (depth.kind !== 'fits') return null;
  return (
    <>
      <Words>
        <Words weight={800}>1 in</Words> over the lids at least
      </Words>
      <Words>
        <Words weight={800}>{printFraction(depth.leastIn)} in</Words> of water in all
      </Words>
      {batch.method === 'low-temperature-bath' ? (
        <Words size="label" tone="ink-2">
          {bathWords(household.units).both} by the thermometer for the whole time.
        </Words>
      ) : (
        depth.startIn > depth.leastIn && (
          <Words size="label" tone="ink-2">
            Start with {printFraction(depth.startIn)} in: it boils away in a long process.
          </Words>
        )
      )}
    </>
  );
}

/** What makes the pressure true is asked for where the canner is filled: handbook rules 5 and 11. */
function UnderPressure({ canner }: { canner: Canner }) {
  return (
    <>
      <Words>
        <Words weight={800}>
          {PRESSURE_IN.least} to {PRESSURE_IN.most} in
        </Words>{' '}
        of water in all
      </Words>
      <Words size="label" tone="ink-2">
        {canner.method === 'pressure-dial'
          ? 'The dial was tested within the year; gasket and vent are clean.'
          : 'The weight rocks freely; gasket and vent are clean.'}
      </Words>
    </>
  );
}

function TooShallow({ canner, batch }: { canner: Canner; batch: CannedBatch }) {
  const { household } = useHousehold();
  const own = household.ownJars.find(({ size }) => size === batch.jar);
  const depth = waterDepth(canner, batch.jar, batch.processMinutes, own);
  const missing = depth.kind === 'tooShallow' ? ` by ${printFraction(depth.missingIn)} in` : '';
  return <Words weight={700}>Too shallow{missing}: take a deeper canner.</Words>;
}
