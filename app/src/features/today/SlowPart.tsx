import { nameOf } from '@hoddle/core/day/batch';
import { slowThings } from '@hoddle/core/kitchen/slowThings';
import { View } from 'react-native';
import { type Day, type LiveDay } from '@hoddle/core/kitchen/dayInHand';
import { clockTime, weekday } from '@/ui/clockWords';
import { RowLink } from '@/ui/RowLink';
import { Heading, Words } from '@/ui/Words';

/** What infuses, drips or ferments by itself: when somebody has to look after it next, with the day. */
export function SlowPart({ day, live, now }: { day: Day; live: LiveDay; now: number }) {
  const things = slowThings(live.running, live.progress, day.batches, now);
  if (things.length === 0) return null;
  return (
    <View className="px-4 pb-3">
      <Heading>Goes on by itself</Heading>
      <View role="list" aria-label="Goes on by itself">
        {things.map(({ task, batch, next, endsAt }) => (
          <View key={task.id} role="listitem">
            <RowLink href="/kitchen" className="min-h-[56px] justify-center border-t border-hair py-1">
              <Words weight={700}>
                {task.words}, {nameOf(batch).toLowerCase()}
              </Words>
              <Words tone="ink-2">
                {next ? `${next.words} ${whenWords(next.at)}; ` : ''}
                over {whenWords(endsAt)}
              </Words>
            </RowLink>
          </View>
        ))}
      </View>
    </View>
  );
}

function whenWords(at: number): string {
  return `${weekday(at)} ${clockTime(at)}`;
}
