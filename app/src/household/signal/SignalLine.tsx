import { View } from 'react-native';
import { usePathname, useRouter } from 'expo-router';
import { create } from 'zustand';
import { failureWords } from '@/store/api';
import { deviceIsWrongBy } from '@/store/householdClock';
import { useHouseholdStore } from '@/store/householdStore';
import { isWaiting } from '@/store/outbox/outboxRow';
import { pageAnew } from '@/store/shell/pageAnew';
import { useNow } from '@/store/useHousehold';
import { clockTimeFrom, duration } from '@/ui/clockWords';
import { RowLink } from '@/ui/RowLink';
import { SmallKey } from '@/ui/SmallKey';
import { Words } from '@/ui/Words';
import { entryWords } from './entryWords';
import { useClashes } from './useClashes';

const WAITING = '/bench/waiting';

/** What was read and need not be said again until the page is opened anew. */
const useUnderstood = create<{ readonly names: readonly string[] }>()(() => ({ names: [] }));

interface StripWords {
  readonly words: string;
  readonly note: string;
  readonly keyWords: string;
  readonly onPress: () => void;
}

/** Says why the server is not heard, what waits to be sent, what was not taken. Nothing when all is well. */
export function SignalLine() {
  const path = usePathname();
  const strip = useStrip(path);
  // What waits is read one by one behind the words, whatever they say.
  const waits = useHouseholdStore((store) => store.rows.some((row) => row.refused !== undefined || isWaiting(row)));
  if (!strip) return null;
  const { words, note, keyWords, onPress } = strip;
  return (
    <View role="status" className="flex-row items-center gap-3 border-b-2 border-ink bg-plate px-4 py-2">
      {waits && path !== WAITING ? (
        <RowLink href={WAITING} className="min-h-[48px] flex-1 justify-center">
          <Said words={words} note={note} />
        </RowLink>
      ) : (
        <View className="flex-1">
          <Said words={words} note={note} />
        </View>
      )}
      <SmallKey words={keyWords} onPress={onPress} />
    </View>
  );
}

function Said({ words, note }: Pick<StripWords, 'words' | 'note'>) {
  return (
    <>
      <Words weight={700}>{words}</Words>
      <Words size="small" tone="ink-2">
        {note}
      </Words>
    </>
  );
}

/** What matters most of what there is to say. */
function useStrip(path: string): StripWords | undefined {
  const { waiting, refused, signal, aheadMs, state, isDamaged, keeps } = useHouseholdStore();
  const router = useRouter();
  const { names: understood } = useUnderstood();
  const understand = (name: string) => useUnderstood.setState({ names: [...understood, name] });
  const clashes = useClashes();
  const signalWords = useSignalWords();
  const look = { keyWords: 'Look', onPress: () => router.navigate(WAITING) };
  const toDo = refused.length + clashes.length;
  if (toDo > 0 && path !== WAITING) {
    const [first] = refused;
    const others = toDo > 1 ? ` And ${toDo - 1} more.` : '';
    const away =
      signal.kind === 'good'
        ? ''
        : ` ${signalWords.words}${waiting.length > 0 ? `; ${waitWords(waiting.length)}` : ''}.`;
    if (first)
      return {
        words: first.refused?.message ?? '',
        note: `Not kept: ${entryWords(first.write, state)}.${others}${away}`,
        ...look,
      };
    return {
      words: 'Two hands took the same jars',
      note: `One of them was not there any more.${others}${away}`,
      ...look,
    };
  }
  if (signal.kind !== 'good') return signalWords;
  if (!keeps && !understood.includes('keeps')) {
    return {
      words: 'This browser keeps nothing',
      note:
        waiting.length > 0
          ? `${waitWords(waiting.length)} here and would be gone with this page. Leave it open.`
          : 'A private window, or no room left: what is entered without signal is gone when this page is closed.',
      keyWords: 'Understood',
      onPress: () => understand('keeps'),
    };
  }
  const stuck = waiting.filter(({ tries }) => tries > 0);
  if (stuck.length > 0 && path !== WAITING) {
    return { words: `${waitWords(stuck.length)} here`, note: stuck[0]?.trouble ?? '', ...look };
  }
  const wrongMs = aheadMs === undefined ? undefined : deviceIsWrongBy(aheadMs, state?.demoOffsetMs ?? null);
  if (wrongMs !== undefined && !understood.includes('clock')) {
    return {
      words: `This device’s clock is ${duration(toMinutes(Math.abs(wrongMs)))} ${wrongMs > 0 ? 'behind' : 'ahead'}`,
      note: 'The kitchen goes by the server’s clock, so every time shown here is right.',
      keyWords: 'Understood',
      onPress: () => understand('clock'),
    };
  }
  if (isDamaged && path !== '/shelf/files') {
    return {
      words: 'Part of the household’s file is damaged',
      note: 'What can be read is shown, the rest is left out. There is a backup to bring back.',
      keyWords: 'Look',
      onPress: () => router.navigate('/shelf/files'),
    };
  }
  return undefined;
}

/** Why the server is not heard, since when, and what waits for it. */
function useSignalWords(): StripWords {
  const { waiting, signal, heardAt, aheadMs, state, sync } = useHouseholdStore();
  const now = useNow(60_000);
  const ahead = aheadMs ?? 0;
  const since = heardAt === undefined ? '' : ` since ${clockTimeFrom(heardAt + ahead, now)}`;
  const things = waiting.map(({ write }) => entryWords(write, state));
  const named = things.length > MOST_NAMED ? [...things.slice(0, MOST_NAMED), 'and more'] : things;
  const waits = things.length === 0 ? '' : `${waitWords(things.length)} here: ${named.join(', ')}.`;
  const again = { keyWords: 'Try now', onPress: () => void sync() };
  switch (signal.kind) {
    case 'page-too-old':
      return {
        words: 'A newer Hoddle is on the server',
        note: `This page is too old for it. ${waits}`,
        keyWords: 'Open anew',
        onPress: () => void pageAnew(),
      };
    case 'not-let-in':
      return {
        words: failureWords(signal),
        note: `Its clocks run on. ${waits}`,
        keyWords: 'Let it in',
        onPress: () => window.location.assign('/pair'),
      };
    case 'trouble':
      return { words: `Nothing is kept${since}`, note: [signal.message, waits].filter(Boolean).join(' '), ...again };
    default:
      return {
        words: `No signal${since}`,
        note: waits === '' ? 'What is entered now is kept on this device.' : `${waits} Sent by itself, each once.`,
        ...again,
      };
  }
}

/** More than these are in the list of what waits. */
const MOST_NAMED = 4;

/** "3 things wait". */
function waitWords(count: number): string {
  return `${count} ${count === 1 ? 'thing waits' : 'things wait'}`;
}

/** Whole minutes, the nearest. */
function toMinutes(ms: number): number {
  return Math.round(ms / 60_000) * 60_000;
}
