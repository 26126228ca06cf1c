import { jarsWords, nameOf } from '@hoddle/core/day/batch';
import { loadClock } from '@hoddle/core/kitchen/loadClock';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useLoads } from '@/household/kitchen/useLoad';
import { duration } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { JarDrawing } from '@/ui/JarDrawing';
import { Key } from '@/ui/Key';
import { Words } from '@/ui/Words';

/** Batches whose jars stand on the towel, each with its way to the lids. */
export function LidsToPress({ now }: { now: number }) {
  const router = useRouter();
  const cooling = useLoads().filter(({ state }) => state.phase === 'cooling');
  const batches = [...new Map(cooling.map(({ batch }) => [batch.id, batch])).values()];
  return (
    <>
      {batches.map((batch) => {
        const own = cooling.filter((load) => load.batch.id === batch.id);
        const clocks = own.map(({ order, state }) => loadClock(order, state, now));
        const cooled = Math.min(...clocks.map((clock) => (clock.kind === 'cooling' ? clock.sinceMs : Infinity)));
        const due = clocks.some((clock) => clock.kind === 'cooling' && clock.checkDue);
        const loads = own.map(({ load, state }) => ({ ...load, jars: state.jars }));
        return (
          <View key={batch.id} className="flex-row items-center gap-3 border-b-2 border-hair px-4 py-3">
            <JarDrawing size={batch.jar} quartPx={46} look="cooling" {...hueOfProduct(batch.product)} />
            <View className="flex-1">
              <Words weight={700}>Cooled {duration(cooled)}</Words>
              <Words size="label" tone="ink-2">
                {jarsWords({ jar: batch.jar, loads })} {nameOf(batch).toLowerCase()}
              </Words>
            </View>
            <Key
              look={due ? 'solid' : 'outline'}
              words={due ? 'Check seals' : 'Not yet'}
              onPress={() => router.navigate({ pathname: '/shelf/seals/[batchId]', params: { batchId: batch.id } })}
            />
          </View>
        );
      })}
    </>
  );
}
