import { type Batch, type PlannedLoad, nameOf } from '@hoddle/core/day/batch';
import { placesFor } from '@hoddle/core/day/inTheCanner';
import { countJars } from '@hoddle/core/handbook/jars';
import { gateLoads } from '@hoddle/core/kitchen/gateLoads';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useHousehold } from '@/store/useHousehold';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { NumberPad } from './NumberPad';

interface LoadsChangeProps {
  batch: Batch;
  day: Day;
  /** Its loads that have not gone in. */
  later: readonly PlannedLoad[];
  onDone: (loads: readonly PlannedLoad[], words: string) => void;
  onBack: () => void;
}

/** More jars than planned, or fewer: the loads that have not gone in are filled anew. */
export function LoadsChange({ batch, day, later, onDone, onBack }: LoadsChangeProps) {
  const planned = later.reduce((sum, { jars }) => sum + jars, 0);
  const [jars, setJars] = useState(planned);
  const capacity = useCapacity(batch, day, later);
  const last = Math.max(0, ...batch.loads.map(({ number }) => number));
  const loads = gateLoads(later, jars, capacity, last, uuidV7);
  const name = nameOf(batch).toLowerCase();
  return (
    <View className="w-full max-w-[640px] gap-4 px-4 pb-8">
      <Words size="head" weight={700} tone="milk">
        {name.replace(/^./, (letter) => letter.toUpperCase())}: jars still to go in
      </Words>
      <NumberPad
        label="Jars"
        value={jars}
        unit="jars"
        step={1}
        isWhole
        onChange={(next) => setJars(Math.min(40, next))}
      />
      <Words size="lead" tone="milk-2">
        {loads.length === 0
          ? 'None: the product is dropped, what was not used is on hand again.'
          : `${loads.length} ${loads.length === 1 ? 'load' : 'loads'}: ${loads.map((load) => load.jars).join(', ')}. It was ${planned}.`}
      </Words>
      <KitchenKey
        look="milk"
        words="See what it changes"
        disabled={jars === planned}
        onPress={() => onDone(loads, `${countJars(jars, batch.jar)} ${name} instead of ${planned}`)}
      />
      <KitchenKey look="outline" words="Leave it as it was" onPress={onBack} />
    </View>
  );
}

/** Jars that the canner of the next load holds. */
export function useCapacity(batch: Batch, day: Day, later: readonly PlannedLoad[]): number {
  const { canners, ownJars } = useHousehold().household;
  const cannerId = day.loads.find(({ id }) => id === later[0]?.id)?.cannerId ?? batch.cannerId;
  const canner = canners.find(({ id }) => id === cannerId);
  const [places] = canner ? placesFor(batch, [canner], ownJars) : [];
  return places ?? Math.max(1, ...later.map(({ jars }) => jars));
}
