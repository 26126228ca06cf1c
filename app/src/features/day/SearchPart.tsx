import { nameOf } from '@hoddle/core/day/batch';
import { View } from 'react-native';
import { useDayPlanStore } from '@/store/dayPlanStore';
import { clockTimeFrom } from '@/ui/clockWords';
import { Key } from '@/ui/Key';
import { Words } from '@/ui/Words';
import { SearchAxis } from './SearchAxis';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useFuseWords } from './useFuseWords';

const MINUTE_MS = 60_000;

/** How far the search for the day is: what is found, what is ruled out, and the key to take it as it is. */
export function SearchPart({ day }: { day: Day }) {
  const { plan, status, ends, stop } = useDayPlanStore();
  const fuseWords = useFuseWords();
  if (status === 'refused') return null;
  if (!plan || day.likelyAt === undefined) {
    return (
      <View role="status" className="gap-2 py-2">
        <Words weight={700}>
          {status === 'cutOff' ? 'The search was cut off before it found a plan.' : 'Laying out the day.'}
        </Words>
        {status === 'cutOff' && <Words>Open this page anew to search again.</Words>}
      </View>
    );
  }
  const at = (minutes: number) => clockTimeFrom(day.startAt + minutes * MINUTE_MS, day.startAt);
  const { makespanMin, lowerBoundMin, proven } = plan;
  const unsaved = day.batches.filter(({ id }) => plan.unsaved.includes(id));
  const words = proven
    ? 'Proven: no plan that breaks no rule is over earlier.'
    : `Best so far ${at(makespanMin)}. No plan is over before ${at(lowerBoundMin)}.`;
  return (
    <View className="gap-1 pb-1">
      <View role="status" className="gap-1">
        <Words size="label" weight={proven ? 700 : 400}>
          {words}
        </Words>
        {unsaved.map((batch) => (
          <Words key={batch.id} size="label" weight={700}>
            {nameOf(batch)}: spoils before its turn comes. Start earlier. {fuseWords(day, batch)}
          </Words>
        ))}
        {status === 'cutOff' && (
          <Words size="label" weight={700}>
            The search was cut off. The last good plan stays.
          </Words>
        )}
        {status === 'stopped' && !proven && <Words size="label">Taken as it is.</Words>}
      </View>
      {status === 'searching' && !proven && (
        <View className="flex-row items-center gap-3">
          <View className="max-w-[360px] flex-1">
            <SearchAxis ends={ends} bestMin={makespanMin} boundMin={lowerBoundMin} />
          </View>
          <Key look="outline" words="Take this plan" onPress={stop} />
        </View>
      )}
    </View>
  );
}
