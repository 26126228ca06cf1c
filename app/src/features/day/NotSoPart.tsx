import { type DayTold } from '@hoddle/core/kitchen/dayEvent';
import { isCanned, jarsOf, nameOf } from '@hoddle/core/day/batch';
import { splitLoads } from '@hoddle/core/canner/splitLoads';
import { countJars } from '@hoddle/core/handbook/jars';
import { askedOf, type DayWish, wishKey } from '@hoddle/core/day/dayWish';
import { type WayOut } from '@hoddle/core/day/whatGives';
import { type Why } from '@hoddle/core/day/whyThen';
import { type Wish } from '@hoddle/core/day/wish';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { widestCanner } from '@hoddle/core/canner/widestCanner';
import { useTellDay } from '@/household/kitchen/useTellDay';
import { useDayPlanStore } from '@/store/dayPlanStore';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { clockTimeFrom, duration } from '@/ui/clockWords';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Words } from '@/ui/Words';
import { wishWords } from './life/wishWords';
import { type Day } from '@hoddle/core/kitchen/dayInHand';
import { useFuseWords } from './useFuseWords';

const MINUTE_MS = 60_000;

/** A day that cannot be done as it is: why, and what gives. Nothing is thrown away. */
export function NotSoPart({ day }: { day: Day }) {
  const router = useRouter();
  const { canners } = useHousehold().household;
  const tell = useTellDay(day.id);
  const fuseWords = useFuseWords();
  const { status, refusal } = useDayPlanStore();
  if (status !== 'refused' || !refusal) return null;
  const names = new Map(day.batches.map((batch) => [batch.id, nameOf(batch).toLowerCase()]));
  const wayWords = (way: WayOut): string => {
    switch (way.kind) {
      case 'without':
        return `Leave out ${names.get(way.batchId) ?? 'a batch'}: then it goes. ${freezeWords(way.batchId)}`;
      case 'borrow':
        return `Borrow a second canner like ${canners.find(({ id }) => id === way.likeCannerId)?.name ?? 'yours'}.`;
      case 'earlier':
        return `Start ${duration(way.byMinutes * MINUTE_MS)} earlier.`;
      case 'unwished': {
        const wish = keptOf(way.wish, day);
        return wish ? `Let go: ${wishWords(wish, day, canners)}.` : 'Let one of the wishes go.';
      }
      case 'pin-at': {
        const wish = { kind: 'pin', loadId: way.loadId, at: momentOf(way.atMin) } as const;
        return `${wishWords(wish, day, canners)} at the soonest: ${soonestWords(way.why)}.`;
      }
      case 'ready-by':
        return `All can be ready by ${clockTimeFrom(momentOf(way.atMin), day.startAt)}.`;
    }
  };
  const freezeWords = (batchId: string) => {
    const batch = day.batches.find(({ id }) => id === batchId);
    return (batch && fuseWords(day, batch)) ?? 'Its produce stays on hand.';
  };
  const momentOf = (minute: number) => day.startAt + Math.ceil(minute) * MINUTE_MS;
  /** What one tap does about it; undefined for what is done elsewhere. */
  const doneBy = (way: WayOut): DayTold | undefined => {
    if (way.kind === 'pin-at')
      return { type: 'wish-made', wish: { kind: 'pin', loadId: way.loadId, at: momentOf(way.atMin) } };
    if (way.kind === 'ready-by') return { type: 'wish-made', wish: { kind: 'ready-by', at: momentOf(way.atMin) } };
    const wish = way.kind === 'unwished' ? keptOf(way.wish, day) : undefined;
    return wish && { type: 'wish-dropped', key: wishKey(wish) };
  };
  const held = day.batches.map((batch) => {
    const most = Math.max(...batch.loads.map(({ jars }) => jars));
    return `${names.get(batch.id) ?? ''}, up to ${most} in a load`;
  });
  return (
    <Plate className="mb-3 gap-2">
      <View role="alert" className="gap-1">
        <Words size="lead" weight={700}>
          This day cannot be done as it is.
        </Words>
        <Words>
          {refusal.sentence ??
            `No canner ${canners.length === 0 ? 'is written down' : 'of yours takes every load'}: ${held.join('; ')}.`}
        </Words>
      </View>
      {refusal.waysOut.map((way) => {
        const told = doneBy(way);
        const words = wayWords(way);
        if (told) return <Key key={words} look="outline" words={words} onPress={() => tell(told)} />;
        return (
          <Words key={words} weight={600}>
            {words}
          </Words>
        );
      })}
      <SplitAnew day={day} />
      <Key look="outline" words="See the canners" onPress={() => router.navigate('/bench/canners')} />
    </Plate>
  );
}

/** A wish as it is kept, of one as the search takes it. */
function keptOf(wish: Wish, { state, startAt }: Day): DayWish | undefined {
  return state.wishes.find((own) => (askedOf([own], startAt).wishes ?? []).some((asked) => isSame(asked, wish)));
}

function isSame(a: Wish, b: Wish): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/** What a load waits for. */
function soonestWords(why: Why): string {
  switch (why.kind) {
    case 'after':
    case 'resource':
      return `“${why.task.task.words}” is over then`;
    case 'portions':
      return `“${why.task.task.words}” hands it on then`;
    case 'hours':
      return 'nobody is there before';
    case 'soonEnough':
    case 'late':
      return `“${why.task.task.words}” follows it soon enough then`;
    case 'asked':
      return 'its own day begins then';
    case 'first':
    case 'free':
      return 'what comes before it takes so long';
  }
}

/** A batch whose loads are too large for the canners that are left is parted anew, as long as none of them has begun. */
function SplitAnew({ day }: { day: Day }) {
  const { household } = useHousehold();
  const enter = useHouseholdStore((store) => store.enter);
  return day.batches.map((batch) => {
    if (!isCanned(batch)) return null;
    const { canner, capacity } = widestCanner(household, batch.jar, batch.method);
    const begun = day.loads.some((load) => load.batch.id === batch.id && load.phase !== 'planned');
    // Two sizes are parted by hand: fewer of one, or another canner.
    if (batch.loads.some(({ size }) => size)) return null;
    if (!canner || capacity?.kind !== 'holds' || begun || batch.loads.every(({ jars }) => jars <= capacity.jars)) {
      return null;
    }
    const jars = jarsOf(batch);
    const loads = splitLoads(jars, capacity.jars, 'full').map((count, i) => ({
      id: uuidV7(),
      number: i + 1,
      jars: count,
    }));
    const split = () => {
      void enter({ kind: 'batch-struck', batchId: batch.id });
      void enter({ kind: 'batch', batch: { ...batch, id: uuidV7(), cannerId: canner.id, loads } });
    };
    const words = `Part ${countJars(jars, batch.jar)} anew: ${loads.map((load) => load.jars).join(', ')}`;
    return <Key key={batch.id} words={words} onPress={split} />;
  });
}
