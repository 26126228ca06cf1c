import { orderChange } from '@hoddle/core/kitchen/orderChange';
import { isWorthOffering } from '@hoddle/core/kitchen/worthOffering';
import { type DayTask } from '@hoddle/core/day/dayProblem';
import { useEffect } from 'react';
import { View } from 'react-native';
import { type Day, type LiveDay } from '@hoddle/core/kitchen/dayInHand';
import { useRestStore } from '@/store/restStore';
import { useHousehold } from '@/store/useHousehold';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { orderWords } from './orderWords';
import { orderOf } from '@/household/kitchen/useStartDay';
import { useTellDay } from '@/household/kitchen/useTellDay';

const MINUTE_MS = 60_000;

/** Minutes after which the rest is looked at again although nobody has told anything. */
const LOOK_AGAIN_MIN = 5;

/** What to do with food that waits longer than it should, by how it is held. */
function waitsWords({ words, after }: DayTask, { running }: LiveDay): string {
  const before = running.tasks.filter(({ id }) => after.some((lag) => lag.task === id));
  const cut = before.some(({ holding = '' }) => holding.startsWith('2 h'));
  const keep = cut ? 'what is cut goes into the refrigerator' : 'what is hot is kept hot on low heat, covered';
  return `“${words}” has to wait longer than it should: ${keep}.`;
}

/** A better order of what is left, in one line: taken or refused. */
export function ChangeLine({ day, live }: { day: Day; live: LiveDay }) {
  const tell = useTellDay(day.id);
  const { household, events } = useHousehold();
  const { solved, ask, key: askedKey } = useRestStore();
  const look = Math.floor(live.progress.nowMin / LOOK_AGAIN_MIN);
  const key = `${day.id} ${events.length} ${day.state.lastAt ?? 0} ${look}`;
  useEffect(() => ask(day.id, key, live.rest), [ask, day.id, key, live.rest]);
  const nameOf = (id: string) => household.canners.find((canner) => canner.id === id)?.name ?? 'another canner';
  const best = askedKey === key ? solved?.best : undefined;
  const tooLong = live.laid?.waitsTooLong ?? [];
  const late = live.running.tasks.find(({ id }) => tooLong.includes(id));
  const ends = best && {
    ...(live.laid && { keptMin: live.laid.endMin }),
    bestMin: best.endMin,
    isFoodWaiting: late !== undefined,
  };
  const now = day.startAt + live.progress.nowMin * MINUTE_MS;
  const change = ends && isWorthOffering(ends, day.state, { startAt: day.startAt, now }) ? best : undefined;
  const endAt = change && day.startAt + change.endMin * MINUTE_MS;
  if (!change && !late && (live.laid || !solved)) return null;
  return (
    <View role="status" className="gap-3 rounded-pot border-2 border-rim-dark p-3">
      {late && (
        <Words size="lead" weight={700} tone="milk">
          {waitsWords(late, live)}
        </Words>
      )}
      {!live.laid && !change && solved && (
        <Words size="lead" weight={700} tone="milk">
          No order was found for what is left. Tell what changed: a load less, or another canner.
        </Words>
      )}
      {change && (
        <>
          <Words size="lead" weight={700} tone="milk">
            {live.laid
              ? orderWords(orderChange(live.laid.tasks, change.tasks), day, nameOf)
              : 'The order cannot be kept. Here is another one.'}
          </Words>
          <View className="flex-row gap-3">
            <View className="flex-1">
              <KitchenKey
                look="milk"
                words="Take it"
                onPress={() =>
                  tell({
                    type: 'order-taken',
                    order: orderOf(change.tasks, {
                      startAt: day.startAt,
                      cannerOf: Object.fromEntries(change.cannerOf),
                    }),
                  })
                }
              />
            </View>
            {live.laid && (
              <View className="flex-1">
                <KitchenKey
                  look="outline"
                  words="Keep mine"
                  onPress={() => tell({ type: 'order-kept', endAt: Math.round(endAt ?? 0) })}
                />
              </View>
            )}
          </View>
        </>
      )}
    </View>
  );
}
