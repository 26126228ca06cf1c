import { type LoadPhase } from '@hoddle/core/kitchen/loadState';
import { View } from 'react-native';
import { useDay } from '@/features/day/useDay';
import { readingWords } from '@/features/instruments/readingWords';
import { useAtCanner } from '@/features/instruments/useInstruments';
import { useInstrumentStore } from '@/store/instrumentStore';
import { useHousehold } from '@/store/useHousehold';
import { temperatureWords, type Units } from '@/ui/amountWords';
import { Words } from '@/ui/Words';
import { KitchenKey } from './KitchenKey';
import { useAlarms } from './useAlarms';
import { useTellDay } from './useTellDay';

/** What the instruments in a canner tell of the load that stands in it, beside its clock. */
export function ProbeLine({ loadId, cannerId, phase }: { loadId: string; cannerId: string; phase: LoadPhase }) {
  const { units } = useHousehold().household;
  const own = useAtCanner(cannerId);
  const { calls } = useInstrumentStore();
  const call = calls.find((each) => each.loadId === loadId);
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
      {call && (
        <Words role="status" size="lead" weight={700} tone="milk">
          {CALL_WORDS[call.kind](temperatureWords(call.reads, units), units, phase)}
        </Words>
      )}
      {call && <NotSo loadId={loadId} />}
    </View>
  );
}

const CALL_WORDS: Readonly<
  Record<
    ReturnType<typeof useInstrumentStore.getState>['calls'][number]['kind'],
    (read: string, units: Units, phase: LoadPhase) => string
  >
> = {
  'water-ready': () => 'The water is warm enough: jars may go in.',
  'boil-found': () => 'It boils, by the probe. Look into the pot, then tap.',
  'boil-lost': (read) => `It boils no more: ${read} and falling. Look into the pot.`,
  'too-cool': (read) => `The bath is too cool: ${read}. 180 to 185 F the whole time.`,
  'too-hot': (read, _, phase) =>
    phase === 'planned' ? `${read}: too hot for raw jars. Cold water first.` : `The bath is too hot: ${read}.`,
  'under-pressure': () => 'Pressure is under the mark: bring it back, and the time starts again.',
  elsewhere: (read) => `${read} cannot be in this pot: is the probe in another one?`,
};

/** Somebody looked, and it is not so: the call is answered, and what was read is kept all the same. */
function NotSo({ loadId }: { loadId: string }) {
  const day = useDay();
  const tell = useTellDay(day?.id ?? '');
  const { alarms } = useAlarms();
  const alarm = alarms.find(
    (each) => each.loadId === loadId && each.answeredAt === undefined && each.kind === 'boil-lost',
  );
  if (!alarm || !day) return null;
  return (
    <KitchenKey
      look="outline"
      words="I looked: it boils"
      onPress={() => tell({ type: 'alarm-answered', alarmId: alarm.id })}
    />
  );
}
