import { canBeToldStill, passedOver } from '@hoddle/core/kitchen/passedOver';
import { View } from 'react-native';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useHousehold, useNow } from '@/store/useHousehold';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { useTellDay } from '@/household/kitchen/useTellDay';

/** Jars that went in although something that was tested was never told: what that means for them, and where to say it was done. */
export function PassedOver({ day, loadId }: { day: Day; loadId: string }) {
  const { dayEvents } = useHousehold();
  const tell = useTellDay(day.id);
  const now = useNow(10_000);
  const own = dayEvents.filter((event) => day.dates.includes(event.day));
  const open = day.live ? passedOver(loadId, day.live.running, own) : [];
  const startedAt = day.live?.running.loads.get(loadId)?.state.startedAt;
  if (open.length === 0 || startedAt === undefined) return null;
  const number = day.loads.findIndex(({ id }) => id === loadId) + 1;
  return (
    <View role="alert" className="gap-2 border-t-2 border-heat-d px-4 py-3">
      <Words size="lead" weight={700} tone="milk">
        Load {number} went in before this was over: {open.map(({ task }) => `“${task.words}”`).join(', ')}.
      </Words>
      <Words size="lead" tone="milk">
        What was skipped cannot be made good by a longer time. If it was not done, these jars are no shelf jars: into
        the refrigerator once they are cool, and eaten within days.
      </Words>
      {open
        .filter((step) => canBeToldStill(step, startedAt, now))
        .map(({ task }) => (
          <KitchenKey
            key={task.id}
            look="outline"
            words={`“${task.words}” was done before`}
            onPress={() => tell({ type: 'done-before', taskId: task.id, endedAt: startedAt })}
          />
        ))}
    </View>
  );
}
