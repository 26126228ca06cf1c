import { isCanned, jarsOf, nameOf } from '@hoddle/core/day/batch';
import { splitLoads } from '@hoddle/core/canner/splitLoads';
import { countJars } from '@hoddle/core/handbook/jars';
import { type WayOut } from '@hoddle/core/day/whatGives';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { widestCanner } from '@hoddle/core/canner/widestCanner';
import { useDayPlanStore } from '@/store/dayPlanStore';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { duration } from '@/ui/clockWords';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Words } from '@/ui/Words';
import { type Day } from './useDay';
import { useFuseWords } from './useFuseWords';

const MINUTE_MS = 60_000;

/** A day that cannot be done as it is: why, and what gives. Nothing is thrown away. */
export function NotSoPart({ day }: { day: Day }) {
  const router = useRouter();
  const { canners } = useHousehold().household;
  const fuseWords = useFuseWords();
  const { status, refusal } = useDayPlanStore();
  if (status !== 'refused' || !refusal) return null;
  const names = new Map(day.batches.map((batch) => [batch.id, nameOf(batch).toLowerCase()]));
  const wayWords = (way: WayOut): string => {
    switch (way.kind) {
      case 'without':
        return `Leave out ${names.get(way.batchId) ?? 'a batch'}: then it goes. ${freezeWords(way.batchId)}`;
      case 'borrow':
        return `Borrow a second canner like ${canners.find(({ id }) => id === way.likeCannerId)?.name ?? 'yours'}.`;
      case 'earlier':
        return `Start ${duration(way.byMinutes * MINUTE_MS)} earlier.`;
    }
  };
  const freezeWords = (batchId: string) => {
    const batch = day.batches.find(({ id }) => id === batchId);
    return (batch && fuseWords(day, batch)) ?? 'Its produce stays on hand.';
  };
  const held = day.batches.map((batch) => {
    const most = Math.max(...batch.loads.map(({ jars }) => jars));
    return `${names.get(batch.id) ?? ''}, up to ${most} in a load`;
  });
  return (
    <Plate className="mb-3 gap-2">
      <View role="alert" className="gap-1">
        <Words size="lead" weight={700}>
          This day cannot be done as it is.
        </Words>
        <Words>
          {refusal.sentence ??
            `No canner ${canners.length === 0 ? 'is written down' : 'of yours takes every load'}: ${held.join('; ')}.`}
        </Words>
      </View>
      {refusal.waysOut.map((way) => (
        <Words key={wayWords(way)} weight={600}>
          {wayWords(way)}
        </Words>
      ))}
      <SplitAnew day={day} />
      <Key look="outline" words="See the canners" onPress={() => router.navigate('/bench/canners')} />
    </Plate>
  );
}

/** A batch whose loads are too large for the canners that are left is parted anew, as long as none of them has begun. */
function SplitAnew({ day }: { day: Day }) {
  const { household } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  return day.batches.map((batch) => {
    if (!isCanned(batch)) return null;
    const { canner, capacity } = widestCanner(household, batch.jar, batch.method);
    const begun = day.loads.some((load) => load.batch.id === batch.id && load.phase !== 'planned');
    // Two sizes are parted by hand: fewer of one, or another canner.
    if (batch.loads.some(({ size }) => size)) return null;
    if (!canner || capacity?.kind !== 'holds' || begun || batch.loads.every(({ jars }) => jars <= capacity.jars)) {
      return null;
    }
    const jars = jarsOf(batch);
    const loads = splitLoads(jars, capacity.jars, 'full').map((count, i) => ({
      id: uuidV7(),
      number: i + 1,
      jars: count,
    }));
    const split = () => {
      enter({ kind: 'batch-struck', batchId: batch.id });
      enter({ kind: 'batch', batch: { ...batch, id: uuidV7(), cannerId: canner.id, loads } });
    };
    const words = `Part ${countJars(jars, batch.jar)} anew: ${loads.map((load) => load.jars).join(', ')}`;
    return <Key key={batch.id} words={words} onPress={split} />;
  });
}
