import { type ScheduledTask } from '@hoddle/core/day/dayProblem';
import { View } from 'react-native';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useHousehold, useNow } from '@/store/useHousehold';
import { clockTimeFrom } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { useIsWide } from '@/ui/StationBar';
import { Words } from '@/ui/Words';
import { stepWords } from './HandsCard';

const MINUTE_MS = 60_000;

/** The next three things that somebody must do, with their times. */
export function NextThings({ day, things }: { day: Day; things: readonly ScheduledTask[] }) {
  const wide = useIsWide();
  const now = useNow(60_000);
  const { canners } = useHousehold().household;
  if (things.length === 0) return null;
  return (
    <View
      role="list"
      aria-label="Next"
      className={`bg-granite-panel ${wide ? 'flex-row border-t-2 border-rim-dark' : ''}`}
    >
      {things.map((entry) => {
        const batch = day.batches.find(({ id }) => id === entry.task.batchId);
        const canner = canners.find(({ id }) => id === entry.task.cannerId);
        return (
          <View
            key={entry.task.id}
            role="listitem"
            className={`min-h-[72px] flex-row items-center gap-3 px-4 py-2 ${wide ? 'flex-1 border-r-2 border-granite-line' : 'border-t-2 border-granite-line'}`}
          >
            <Words size="lead" weight={800} tone="milk" className="w-[92px]">
              {clockTimeFrom(day.startAt + entry.startMin * MINUTE_MS, now)}
            </Words>
            <View
              className="h-[34px] w-[6px]"
              style={{ backgroundColor: batch ? hueOfProduct(batch.product).hue : 'transparent' }}
            />
            <View className="flex-1">
              <Words size="lead" weight={600} tone="milk">
                {stepWords(entry, day)}
              </Words>
              {canner && <Words tone="milk-2">{canner.name}</Words>}
            </View>
          </View>
        );
      })}
    </View>
  );
}
