import { type Batch, jarsWords, nameOf } from '@hoddle/core/day/batch';
import { movesWith } from '@hoddle/core/day/movesWith';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { StartPart } from '@/household/process/StartPart';
import { useHouseholdStore } from '@/store/householdStore';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { clockTime, clockTimeFrom, dayAndDate, weekday } from '@/ui/clockWords';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { useDay } from '@/household/day/useDay';
import { useDayEnds } from '@/household/day/useDayEnds';
import { useFreezeWords, useSpoilsAt } from './useFuseWords';
import { useHasBegun } from './useHasBegun';
import { useMove } from './useMove';

const MINUTE_MS = 60_000;

/** A batch that has not begun is put off to another day, or brought forward: what that does to its produce and to that day. */
export function MoveScreen({ batchId }: { batchId: string }) {
  const batch = useHousehold().batches.find(({ id }) => id === batchId);
  const hasBegun = useHasBegun();
  if (!batch || hasBegun(batch)) {
    return (
      <Screen station="plan" title="Not to be moved" backTo="/plan">
        <Words>It has begun, or is planned no more: what is in hand is not put off.</Words>
      </Screen>
    );
  }
  return <Move batch={batch} />;
}

function Move({ batch }: { batch: Batch }) {
  const router = useRouter();
  const move = useMove(useDay());
  const enter = useHouseholdStore((store) => store.enter);
  const { batches } = useHousehold();
  const group = useMemo(() => movesWith(batch, batches), [batch, batches]);
  const [startAt, setStartAt] = useState(batch.startAt);
  const drafts = useMemo(() => [{ ...batch, startAt }], [batch, startAt]);
  const [end] = useDayEnds(drafts);
  const now = householdNow();
  const by = useSpoilsAt()(batch, now);
  const freezeWords = useFreezeWords();
  const isPast = startAt < now - 15 * MINUTE_MS;
  const others = group.slice(1).map((other) => nameOf(other).toLowerCase());
  return (
    <Screen
      station="plan"
      title={nameOf(batch)}
      note={`Planned for ${dayAndDate(batch.startAt)}`}
      backTo="/plan"
      foot={
        <Key
          tall
          words={`Begin ${weekday(startAt)} at ${clockTime(startAt)}`}
          disabled={startAt === batch.startAt || isPast}
          onPress={() => {
            move(group, startAt);
            router.navigate('/plan');
          }}
        />
      }
    >
      <View className="max-w-[560px] gap-4">
        <Words weight={600}>
          {jarsWords(batch)}, {batch.loads.length} {batch.loads.length === 1 ? 'load' : 'loads'}
        </Words>
        <StartPart startAt={startAt} onStart={setStartAt} />
        {by !== undefined && startAt > by && (
          <Words role="alert" weight={700}>
            It does not keep so long. {freezeWords(batch, by)}
          </Words>
        )}
        {isPast && startAt !== batch.startAt && <Words role="alert">That is over already.</Words>}
        {others.length > 0 && <Words weight={600}>With it {others.join(' and ')}: they share a canner or a pot.</Words>}
        {others.length === 0 && <Words role="status">{endWords(end, startAt)}</Words>}
        <Key
          look="outline"
          words={`Give up ${nameOf(batch).toLowerCase()}`}
          onPress={() => {
            void enter({ kind: 'batch-struck', batchId: batch.id });
            router.navigate('/plan');
          }}
        />
      </View>
    </Screen>
  );
}

function endWords(end: number | 'none' | undefined, startAt: number): string {
  if (end === undefined) return 'That day: no finish time yet.';
  if (end === 'none') return 'That day cannot be done with it: something there is in its way.';
  return `That day is likely over by ${clockTimeFrom(end, startAt)}.`;
}
