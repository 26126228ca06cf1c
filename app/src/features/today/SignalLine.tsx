import { View } from 'react-native';
import { usePathname, useRouter } from 'expo-router';
import { useState } from 'react';
import { deviceIsWrongBy } from '@/store/householdClock';
import { useHouseholdStore } from '@/store/householdStore';
import { wordsOf } from '@/store/write';
import { clockTime, duration } from '@/ui/clockWords';
import { SmallKey } from '@/ui/SmallKey';
import { Words } from '@/ui/Words';

/** Says when there is no signal, what waits to be sent, and what the server would not take. Nothing when all is well. */
export function SignalLine() {
  const { waiting, noSignalSince, refused, sync, forgetRefused, aheadMs, state, trouble, isDamaged } =
    useHouseholdStore();
  const router = useRouter();
  const path = usePathname();
  const [told, setTold] = useState(false);
  const wrongMs = aheadMs === undefined || told ? undefined : deviceIsWrongBy(aheadMs, state?.demoOffsetMs ?? null);
  if (refused) {
    return (
      <Strip
        words={refused.message}
        note={`Not kept: ${wordsOf(refused.write)}.`}
        keyWords="Understood"
        onPress={forgetRefused}
      />
    );
  }
  if (noSignalSince === undefined && wrongMs !== undefined) {
    return (
      <Strip
        words={`This device’s clock is ${duration(toMinutes(Math.abs(wrongMs)))} ${wrongMs > 0 ? 'behind' : 'ahead'}`}
        note="The kitchen goes by the server’s clock, so every time shown here is right."
        keyWords="Understood"
        onPress={() => setTold(true)}
      />
    );
  }
  if (noSignalSince === undefined && isDamaged && path !== '/shelf/files') {
    return (
      <Strip
        words="Part of the household’s file is damaged"
        note="What can be read is shown, the rest is left out. There is a backup to bring back."
        keyWords="Look"
        onPress={() => router.navigate('/shelf/files')}
      />
    );
  }
  if (noSignalSince === undefined) return null;
  const count = waiting.length;
  const things = `${count} ${count === 1 ? 'thing waits' : 'things wait'} here: ${waiting.map(({ write }) => wordsOf(write)).join(', ')}.`;
  return (
    <Strip
      words={`${trouble === undefined ? 'No signal' : 'Nothing is kept'} since ${clockTime(noSignalSince + (aheadMs ?? 0))}`}
      note={[
        trouble,
        count === 0 ? 'What is entered now is kept on this phone.' : `${things} Sent by itself, each once.`,
      ]
        .filter(Boolean)
        .join(' ')}
      keyWords="Try now"
      onPress={() => void sync()}
    />
  );
}

/** Whole minutes, the nearest. */
function toMinutes(ms: number): number {
  return Math.round(ms / 60_000) * 60_000;
}

function Strip({
  words,
  note,
  keyWords,
  onPress,
}: {
  words: string;
  note: string;
  keyWords: string;
  onPress: () => void;
}) {
  return (
    <View role="status" className="flex-row items-center gap-3 border-b-2 border-ink bg-plate px-4 py-2">
      <View className="flex-1">
        <Words weight={700}>{words}</Words>
        <Words size="small" tone="ink-2">
          {note}
        </Words>
      </View>
      <SmallKey words={keyWords} onPress={onPress} />
    </View>
  );
}
