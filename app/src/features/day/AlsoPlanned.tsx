import { jarsWords, nameOf } from '@hoddle/core/day/batch';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { View } from 'react-native';
import { statesOf } from '@/store/standingLoads';
import { useHousehold } from '@/store/useHousehold';
import { clockTime, dayAndDate } from '@/ui/clockWords';
import { COLOURS } from '@/ui/colours';
import { RowLink } from '@/ui/RowLink';
import { Heading, Words } from '@/ui/Words';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useHasBegun } from './useHasBegun';

/** What is planned for other days than this one, the soonest first: each leads to where it is put off, brought forward or given up. */
export function AlsoPlanned({ day }: { day: Day }) {
  const { batches, events } = useHousehold();
  const hasBegun = useHasBegun();
  const states = statesOf(batches, events);
  const own = new Set(day.batches.map(({ id }) => id));
  const others = batches
    .filter(({ id, loads }) => !own.has(id) && loads.some((load) => states.get(load.id)?.phase === 'planned'))
    .filter((batch) => !hasBegun(batch))
    .sort((a, b) => a.startAt - b.startAt);
  if (others.length === 0) return null;
  return (
    <View className="pt-4">
      <Heading className="pb-1">Also planned</Heading>
      <View role="list" aria-label="Planned for other days">
        {others.map((batch) => (
          <View key={batch.id} role="listitem">
            <RowLink
              href={{ pathname: '/plan/move/[batchId]', params: { batchId: batch.id } }}
              className="min-h-[56px] flex-row items-center gap-2 border-t border-hair py-2"
            >
              <View className="flex-1">
                <Words weight={700}>
                  {jarsWords(batch)} {nameOf(batch).toLowerCase()}
                </Words>
                <Words size="label" tone="ink-2">
                  {dayAndDate(batch.startAt)}, from {clockTime(batch.startAt)}
                </Words>
              </View>
              <ChevronRight size={22} strokeWidth={2.6} color={COLOURS.cobalt} />
            </RowLink>
          </View>
        ))}
      </View>
    </View>
  );
}
