import { type InstrumentCall } from '@hoddle/core/kitchen/alarms';
import { type LoadPhase } from '@hoddle/core/kitchen/loadState';
import { type Way } from '@hoddle/core/process/method';
import { View } from 'react-native';
import { useDay } from '@/household/day/useDay';
import { callWords } from '@/household/instruments/callWords';
import { readingWords } from '@/household/instruments/readingWords';
import { useAtCanner } from '@/household/instruments/useInstruments';
import { useInstrumentStore } from '@/store/instrumentStore';
import { useHousehold } from '@/store/useHousehold';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { useAlarms } from './useAlarms';
import { useTellDay } from '@/household/kitchen/useTellDay';

interface ProbeLineProps {
  loadId: string;
  cannerId: string;
  phase: LoadPhase;
  method: Way;
}

/** What the instruments in a canner tell of the load that stands in it, beside its clock. */
export function ProbeLine({ loadId, cannerId, ...at }: ProbeLineProps) {
  const { units } = useHousehold().household;
  const own = useAtCanner(cannerId);
  const { calls } = useInstrumentStore();
  // Two instruments in one pot may call for different things: none hides the other.
  const ofLoad = calls.filter((each) => each.loadId === loadId);
  if (own.length === 0) return null;
  return (
    <View className="gap-2">
      {own.map((each) => (
        <View key={each.id} className="flex-row items-baseline gap-3">
          <Words size="lead" tone="milk-2" className="flex-1">
            {each.name}
          </Words>
          <Words size="head" weight={800} tone="milk">
            {each.isLost ? 'not heard' : readingWords(each, units)}
          </Words>
        </View>
      ))}
      {ofLoad.map((call) => (
        <Words key={call.instrument} role="status" size="lead" weight={700} tone="milk">
          {callWords(call, units, at)}
        </Words>
      ))}
      {ofLoad.length > 0 && <NotSo loadId={loadId} />}
    </View>
  );
}

const NOT_SO: Readonly<Record<InstrumentCall, string>> = {
  'boil-found': 'I looked: not yet',
  'boil-lost': 'I looked: it boils',
  'too-cool': 'I looked: it is hot enough',
  'too-hot': 'I looked: it is not too hot',
  'under-pressure': 'I looked: it is at the mark',
};

/** Somebody looked, and it is not so: the call is answered, and what was read is kept all the same. */
function NotSo({ loadId }: { loadId: string }) {
  const day = useDay();
  const tell = useTellDay(day?.id ?? '');
  const { alarms } = useAlarms();
  const alarm = alarms.find(
    ({ kind, answeredAt, ...each }) => each.loadId === loadId && answeredAt === undefined && kind in NOT_SO,
  );
  if (!alarm || !day) return null;
  return (
    <KitchenKey
      look="outline"
      words={NOT_SO[alarm.kind as InstrumentCall]}
      onPress={() => tell({ type: 'alarm-answered', alarmId: alarm.id })}
    />
  );
}
