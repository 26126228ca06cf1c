import { type Way } from '@hoddle/core/process/method';
import { View } from 'react-native';
import { useInstrumentStore } from '@/store/instrumentStore';
import { useHousehold } from '@/store/useHousehold';
import { Words } from '@/ui/Words';
import { callWords } from './callWords';
import { readingWords } from './readingWords';
import { useAtCanner } from './useInstruments';

/** What the water is, where jars are about to go into it. */
export function WaterNow({ loadId, cannerId, method }: { loadId: string; cannerId: string; method: Way }) {
  const { units } = useHousehold().household;
  const own = useAtCanner(cannerId).filter(({ isLost, kind }) => !isLost && kind === 'probe');
  const calls = useInstrumentStore().calls.filter((each) => each.loadId === loadId);
  if (own.length === 0) return null;
  return (
    <View role="status" className="border-t-2 border-hair pt-3">
      {own.map((each) => (
        <Words key={each.id} weight={700}>
          {each.name}: {readingWords(each, units)}
        </Words>
      ))}
      {calls.length === 0 && <Words>Not warm enough for jars yet.</Words>}
      {calls.map((call) => (
        <Words key={call.instrument}>{callWords(call, units, { phase: 'planned', method })}</Words>
      ))}
    </View>
  );
}
