import { type DayWish, wishKey } from '@hoddle/core/day/dayWish';
import { addDays } from 'date-fns/addDays';
import { View } from 'react-native';
import { useTellDay } from '@/household/kitchen/useTellDay';
import { inZone, momentInZone } from '@/store/householdZone';
import { useHousehold } from '@/store/useHousehold';
import { ChipRadio } from '@/ui/ChipRadio';
import { clockTime, clockTimeFrom, duration, isoDay, weekday } from '@/ui/clockWords';
import { SmallKey } from '@/ui/SmallKey';
import { Stepper } from '@/ui/Stepper';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useEnds } from '@/household/day/useEnds';
import { useMove } from '../useMove';
import { useLatest } from './useLatest';
import { wishWords } from './wishWords';

const MINUTE_MS = 60_000;
const HALF_HOUR_MS = 30 * MINUTE_MS;

/** What is wished of a day: when it begins, when it is ready, what stands fixed in it, and what that costs. */
export function WishesPart({ day }: { day: Day }) {
  const tell = useTellDay(day.id);
  const { canners } = useHousehold().household;
  const { wishes } = day.state;
  const readyBy = wishes.find((wish) => wish.kind === 'ready-by');
  const notBefore = wishes.find((wish) => wish.kind === 'not-before');
  const others = wishes.filter(({ kind }) => kind !== 'ready-by' && kind !== 'not-before');
  const drop = (wish: DayWish) => tell({ type: 'wish-dropped', key: wishKey(wish) });
  const moment = (kind: 'ready-by' | 'not-before', now: number | undefined, first: number, words: string) => (
    <View className="gap-1">
      <View className="flex-row items-center justify-between">
        <Words weight={600}>{words}</Words>
        {now === undefined ? (
          <SmallKey
            words={clockTimeFrom(first, day.startAt)}
            label={`${words} ${clockTimeFrom(first, day.startAt)}`}
            onPress={() => tell({ type: 'wish-made', wish: { kind, at: first } })}
          />
        ) : (
          <TextKey
            words="Any time"
            label={`${words}: any time`}
            onPress={() => tell({ type: 'wish-dropped', key: kind })}
          />
        )}
      </View>
      {now !== undefined && (
        <Stepper
          label={words}
          words={clockTimeFrom(now, day.startAt)}
          onLess={
            kind === 'not-before' || now - HALF_HOUR_MS > day.startAt
              ? () => tell({ type: 'wish-made', wish: { kind, at: now - HALF_HOUR_MS } })
              : undefined
          }
          onMore={
            // Begun on another date it is another day.
            kind === 'ready-by' || isoDay(now + HALF_HOUR_MS) === day.id
              ? () => tell({ type: 'wish-made', wish: { kind, at: now + HALF_HOUR_MS } })
              : undefined
          }
        />
      )}
    </View>
  );
  return (
    <View className="gap-3">
      <Heading>Wishes</Heading>
      {moment('ready-by', readyBy?.at, onHalfHour((day.likelyAt ?? day.startAt) + HALF_HOUR_MS), 'Ready by')}
      {readyBy && <ReadyOn day={day} at={readyBy.at} />}
      {!day.live && <Backwards day={day} />}
      {!day.live && moment('not-before', notBefore?.at, onHalfHour(day.startAt + HALF_HOUR_MS), 'Begin not before')}
      <View role="list" aria-label="Loads that something is wished of">
        {others.map((wish) => (
          <View
            key={wishKey(wish)}
            role="listitem"
            className="min-h-[52px] flex-row items-center justify-between gap-2 border-t border-hair"
          >
            <Words weight={700} className="flex-1">
              {wishWords(wish, day, canners)}
            </Words>
            <TextKey words="Let go" label={`Let go: ${wishWords(wish, day, canners)}`} onPress={() => drop(wish)} />
          </View>
        ))}
      </View>
      {others.length === 0 && (
        <Words tone="ink-2">A load is kept at a time by its tack in the plan, or on its own page.</Words>
      )}
      <Cost day={day} />
    </View>
  );
}

/** So many days after the first one something can be asked to be ready. */
const READY_DAYS = 3;

/** On which day it is to be ready, at the same hour: Sunday's market. */
function ReadyOn({ day, at }: { day: Day; at: number }) {
  const tell = useTellDay(day.id);
  const days = Array.from({ length: READY_DAYS }, (_, later) => {
    const [date, hour] = [addDays(inZone(day.startAt), later), inZone(at)];
    return momentInZone(date.getFullYear(), date.getMonth(), date.getDate(), 60 * hour.getHours() + hour.getMinutes());
  }).filter((moment) => moment > day.startAt);
  return (
    <View role="radiogroup" aria-label="Ready on" className="flex-row flex-wrap gap-2">
      {days.map((moment) => (
        <ChipRadio
          key={moment}
          words={weekday(moment)}
          chosen={isoDay(moment) === isoDay(at)}
          onPress={() => tell({ type: 'wish-made', wish: { kind: 'ready-by', at: moment } })}
        />
      ))}
    </View>
  );
}

/** Planned backwards from when it is to be ready: how late it can begin, on this day or a later one, and one tap to begin then. */
function Backwards({ day }: { day: Day }) {
  const tell = useTellDay(day.id);
  const move = useMove(day);
  const laterMin = useLatest(day.question);
  if (laterMin === undefined || laterMin === 0) return null;
  const at = day.startAt + laterMin * MINUTE_MS;
  const begin = () =>
    isoDay(at) === day.id ? tell({ type: 'wish-made', wish: { kind: 'not-before', at } }) : move(day.batches, at);
  return (
    <View role="status" className="flex-row items-center justify-between gap-2">
      <Words className="flex-1">It can begin as late as {clockTimeFrom(at, day.startAt)} and be ready then.</Words>
      <SmallKey words="Begin then" onPress={begin} />
    </View>
  );
}

/** What wishes and errands cost: the end of the day with them and without. */
function Cost({ day }: { day: Day }) {
  const { question, likelyAt } = day;
  const isAsked = question.wishes !== undefined || (question.errands?.set.length ?? 0) > 0;
  const plain = { ...question, wishes: undefined, overByMin: undefined, errands: undefined };
  const [end] = useEnds(isAsked && !day.live ? [plain] : []);
  if (!isAsked || likelyAt === undefined || end === undefined || end === 'none') return null;
  const costMin = Math.round((likelyAt - day.startAt) / MINUTE_MS - end);
  const without = clockTimeFrom(day.startAt + end * MINUTE_MS, day.startAt);
  return (
    <Words role="status" weight={700}>
      {costMin < 1
        ? `All of it costs nothing: likely ${clockTime(likelyAt)} either way.`
        : `With all of it likely ${clockTimeFrom(likelyAt, day.startAt)}, without ${without}: ${duration(costMin * MINUTE_MS)} later.`}
    </Words>
  );
}

function onHalfHour(at: number): number {
  return Math.ceil(at / HALF_HOUR_MS) * HALF_HOUR_MS;
}
