import { type DayEvent, standing } from '@hoddle/core/kitchen/dayEvent';
import { TAKE_BACK_MS } from '@hoddle/core/kitchen/loadState';
import { View } from 'react-native';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useHousehold, useNow } from '@/store/useHousehold';
import { useSingleTap } from '@/ui/useSingleTap';
import { KitchenKey } from '@/ui/KitchenKey';
import { useTellDay } from '@/household/kitchen/useTellDay';

type StepEvent = Extract<DayEvent, { taskId: string }>;

/** Told by one tap: a step done, and the next one begun with it. */
const ONE_TAP_MS = 100;

/** A step that was ticked off by a slip of the finger can be taken back for a moment. */
export function UndoStep({ day }: { day: Day }) {
  const tell = useTellDay(day.id);
  const now = useNow(1_000);
  const last = lastTap(useHousehold().dayEvents, day.id, now);
  const undo = useSingleTap(() => last.forEach(({ id }) => tell({ type: 'taken-back', eventId: id })));
  const first = last[0];
  if (!first) return null;
  const words = day.live?.running.tasks.find(({ id }) => id === first.taskId)?.words ?? 'step';
  return (
    <View className="px-4">
      <KitchenKey
        look="outline"
        words="A slip? Undo"
        note={`${words}: ${first.type === 'step-done' ? 'done' : 'begun'}`}
        onPress={undo}
      />
    </View>
  );
}

/** What the last tap told of steps, where that was a moment ago. */
function lastTap(events: readonly DayEvent[], day: string, now: number): StepEvent[] {
  const own = standing(events).filter(
    (event): event is StepEvent => event.day === day && (event.type === 'step-done' || event.type === 'step-started'),
  );
  const lastAt = Math.max(...own.map(({ at }) => at));
  if (!(now - lastAt < TAKE_BACK_MS)) return [];
  return own.filter(({ at }) => at >= lastAt - ONE_TAP_MS);
}
