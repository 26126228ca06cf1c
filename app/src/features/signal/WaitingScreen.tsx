import { useRouter } from 'expo-router';
import { type ReactElement, useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { countOf, MOVED_WORDS } from '@/household/pantry/pantryWords';
import { useHouseholdStore } from '@/store/householdStore';
import { heldBy } from '@/store/outbox/nextToSend';
import { type OutboxRow } from '@/store/outbox/outboxRow';
import { householdNow } from '@/store/useHousehold';
import { clockTimeFrom } from '@/ui/clockWords';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { SmallKey } from '@/ui/SmallKey';
import { Heading, Words } from '@/ui/Words';
import { entryWords } from '@/household/signal/entryWords';
import { useClashes } from '@/household/signal/useClashes';
import { whereToChange } from './whereToChange';

/** What was entered here and is not with the household yet: each thing, why, and what can be done about it. */
export function WaitingScreen() {
  const { waiting, refused, signal, keeps } = useHouseholdStore();
  const clashes = useClashes();
  const isEmpty = waiting.length + refused.length + clashes.length === 0;
  return (
    <Screen station="bench" title="What waits" backTo="/bench">
      <View className="max-w-[640px] gap-6">
        {isEmpty && <Words>Nothing waits. All that was entered on this device is with the household.</Words>}
        <Section
          title="Not taken"
          rows={refused.map((row) => (
            <RefusedRow key={row.id} row={row} />
          ))}
        />
        <Section
          title="Two hands, the same jars"
          rows={clashes.map((clash) => (
            <ClashRow key={clash.movement.id} {...clash} />
          ))}
        />
        <Section
          title="On their way"
          note={`${signal.kind === 'good' ? '' : 'Sent by themselves as soon as the server is heard, each once. '}${keeps ? 'They are kept on this device until then.' : 'This browser keeps nothing: leave the page open.'}`}
          rows={waiting.map((row) => (
            <WaitingRow key={row.id} row={row} />
          ))}
        />
      </View>
    </Screen>
  );
}

function Section({ title, note, rows }: { title: string; note?: string; rows: ReactElement[] }) {
  if (rows.length === 0) return null;
  return (
    <View className="gap-3">
      <Heading>{title}</Heading>
      {note !== undefined && <Words tone="ink-2">{note}</Words>}
      <View role="list" aria-label={title} className="gap-3">
        {rows}
      </View>
    </View>
  );
}

/** "7:37 pm: took 1". */
function useTold({ write, enteredAt }: OutboxRow): string {
  const aheadMs = useHouseholdStore((store) => store.aheadMs) ?? 0;
  const state = useHouseholdStore((store) => store.state);
  return `${clockTimeFrom(enteredAt + aheadMs, householdNow())}: ${entryWords(write, state)}`;
}

function RefusedRow({ row }: { row: OutboxRow }) {
  const router = useRouter();
  const { giveUp, tryAgain } = useHouseholdStore();
  const [sure, setSure] = useState(false);
  const told = useTold(row);
  const where = whereToChange(row.write);
  return (
    <View role="listitem">
      <Plate className="gap-2">
        <Words weight={700}>{told}</Words>
        <Words>{row.refused?.message}</Words>
        {sure ? (
          <View role="alert" className="flex-row flex-wrap items-center gap-2">
            <Words className="shrink">It will be as if it had not been entered.</Words>
            <SmallKey words="Give it up" label={`Give up ${told}`} onPress={() => void giveUp(row)} />
            <SmallKey words="Leave it" onPress={() => setSure(false)} />
          </View>
        ) : (
          <View className="flex-row flex-wrap gap-2">
            {where && <SmallKey words="Change it" label={`Change ${told}`} onPress={() => router.navigate(where)} />}
            <SmallKey words="Send again" label={`Send again ${told}`} onPress={() => void tryAgain(row)} />
            <SmallKey words="Give up" label={`Give up ${told}?`} onPress={() => setSure(true)} />
          </View>
        )}
      </Plate>
    </View>
  );
}

function WaitingRow({ row }: { row: OutboxRow }) {
  const { rows, tryAgain, aheadMs, state } = useHouseholdStore();
  const told = useTold(row);
  const behind = heldBy(row, rows);
  const next =
    row.nextAt === undefined ? '' : ` Next try ${clockTimeFrom(row.nextAt + (aheadMs ?? 0), householdNow())}.`;
  return (
    <View role="listitem" className="flex-row items-center gap-3 border-t border-hair py-2">
      <View className="flex-1">
        <Words weight={600}>{told}</Words>
        {row.trouble !== undefined && (
          <Words size="small" tone="ink-2">
            {row.trouble} Tried {row.tries === 1 ? 'once' : `${row.tries} times`}.{next}
          </Words>
        )}
        {behind && (
          <Words size="small" tone="ink-2">
            It needs what was not taken: {entryWords(behind.write, state)}.
          </Words>
        )}
      </View>
      {row.trouble !== undefined && (
        <SmallKey words="Now" label={`Send now ${told}`} onPress={() => void tryAgain(row)} />
      )}
    </View>
  );
}

function ClashRow({ movement, lot }: ReturnType<typeof useClashes>[number]) {
  const router = useRouter();
  const enter = useHouseholdStore((store) => store.enter);
  const name = countOf(movement.jars, lot);
  const settle = () => {
    const { id, lotId, jars } = movement;
    void enter({
      kind: 'movement',
      movement: { id: uuidV7(), lotId, kind: 'undone', jars, at: householdNow(), undoes: id },
    });
  };
  return (
    <View role="listitem">
      <Plate className="gap-2">
        <Words weight={700}>{name}</Words>
        <Words>
          {clockTimeFrom(movement.at, householdNow())}: {MOVED_WORDS.short}
          {movement.note === undefined ? '' : ` (${movement.note})`}. Another hand had them before. Look at the shelf:
          the count here is without them.
        </Words>
        <View className="flex-row flex-wrap gap-2">
          <SmallKey
            words="To these jars"
            label={`To ${name}`}
            onPress={() => router.navigate({ pathname: '/shelf/lot/[lotId]', params: { lotId: lot.id } })}
          />
          <SmallKey words="It is settled" label={`Settled: ${name}`} onPress={settle} />
        </View>
      </Plate>
    </View>
  );
}
