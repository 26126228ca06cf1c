import { ableCanners } from '@hoddle/core/day/ableCanners';
import { type DayWish, wishKey } from '@hoddle/core/day/dayWish';
import { loadTask } from '@hoddle/core/day/wish';
import { View } from 'react-native';
import { useTellDay } from '@/household/kitchen/useTellDay';
import { useHousehold } from '@/store/useHousehold';
import { ChipCheck } from '@/ui/ChipCheck';
import { ChipRadio } from '@/ui/ChipRadio';
import { clockTimeFrom } from '@/ui/clockWords';
import { SmallKey } from '@/ui/SmallKey';
import { Stepper } from '@/ui/Stepper';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';
import { type Day } from '@hoddle/core/kitchen/dayInHand';

const MINUTE_MS = 60_000;
const STEP_MS = 5 * MINUTE_MS;

/** What is wished of one load: its time, its canner, what goes before it, and what is never in a canner with it at once. */
export function LoadWishes({ day, loadId }: { day: Day; loadId: string }) {
  const tell = useTellDay(day.id);
  const { canners } = useHousehold().household;
  const { wishes } = day.state;
  const make = (wish: DayWish) => tell({ type: 'wish-made', wish });
  const drop = (wish: DayWish) => tell({ type: 'wish-dropped', key: wishKey(wish) });
  const pin = wishes.find((wish) => wish.kind === 'pin' && wish.loadId === loadId);
  const pinnedAt = pin?.kind === 'pin' ? pin.at : undefined;
  const placed = day.tasks.find(({ task }) => task.id === loadTask(loadId));
  const plannedAt = placed && day.startAt + Math.round(placed.startMin) * MINUTE_MS;
  const at = pinnedAt ?? plannedAt;
  const keepAt = (moment: number) => make({ kind: 'pin', loadId, at: moment });
  const cannerWish = wishes.find((wish) => wish.kind === 'canner' && wish.loadId === loadId);
  const able = ableCanners({ ...day.question, wishes: [] }).get(loadId) ?? [];
  const others = day.loads.flatMap(({ id, phase }, i) =>
    id === loadId || phase !== 'planned' ? [] : [{ id, number: i + 1 }],
  );
  const holds = (wish: DayWish) => wishes.find((own) => wishKey(own) === wishKey(wish));
  return (
    <View className="gap-3 border-t-2 border-hair pt-3">
      <Heading>Wishes</Heading>
      {at !== undefined && (
        <View className="gap-1">
          <View className="flex-row items-center justify-between">
            <Words weight={600}>
              {pinnedAt === undefined ? 'Goes in at' : 'Kept at'} {clockTimeFrom(at, day.startAt)}
            </Words>
            {pin ? (
              <TextKey words="Let go" label="Let the plan find its time" onPress={() => drop(pin)} />
            ) : (
              <SmallKey words="Keep it there" onPress={() => keepAt(at)} />
            )}
          </View>
          {pinnedAt !== undefined && (
            <Stepper
              label="Kept at"
              words={clockTimeFrom(pinnedAt, day.startAt)}
              onLess={() => keepAt(pinnedAt - STEP_MS)}
              onMore={() => keepAt(pinnedAt + STEP_MS)}
            />
          )}
        </View>
      )}
      {able.length > 1 && (
        <View role="radiogroup" aria-label="Canner" className="flex-row flex-wrap gap-2">
          <ChipRadio
            words="Any canner"
            chosen={cannerWish === undefined}
            onPress={() => cannerWish && drop(cannerWish)}
          />
          {able.map((cannerId) => (
            <ChipRadio
              key={cannerId}
              words={canners.find(({ id }) => id === cannerId)?.name ?? 'Canner'}
              chosen={cannerWish?.kind === 'canner' && cannerWish.cannerId === cannerId}
              onPress={() => make({ kind: 'canner', loadId, cannerId })}
            />
          ))}
        </View>
      )}
      {others.length > 0 && (
        <View role="group" aria-label="With the other loads" className="flex-row flex-wrap gap-2">
          {others.flatMap(({ id, number }) => {
            const before: DayWish = { kind: 'before', loadId, otherId: id };
            const apart: DayWish = { kind: 'apart', loadId, otherId: id };
            const isBefore = wishes.some(
              (wish) => wish.kind === 'before' && wish.loadId === loadId && wish.otherId === id,
            );
            const isApart = holds(apart) !== undefined;
            return [
              <ChipCheck
                key={`before ${id}`}
                words={`before load ${number}`}
                checked={isBefore}
                onPress={() => (isBefore ? drop(before) : make(before))}
              />,
              <ChipCheck
                key={`apart ${id}`}
                words={`never with load ${number}`}
                checked={isApart}
                onPress={() => (isApart ? drop(apart) : make(apart))}
              />,
            ];
          })}
        </View>
      )}
    </View>
  );
}
