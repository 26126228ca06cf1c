import { type ReactNode, useCallback, useEffect, useRef } from 'react';
import { View } from 'react-native';
import { Keypad } from '@/ui/Keypad';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Words } from '@/ui/Words';

interface InstrumentProps {
  title: string;
  note?: string;
  backTo?: string;
  /** Keys for the figure being typed; on a wide screen the keyboard does. */
  onKey?: (key: string) => void;
  /** The answer in a line, over the keys: in sight whatever is scrolled. */
  glance?: string;
  children: ReactNode;
}

/** One function for as long as the screen lives, so that the keys are not drawn anew with every figure. */
function useLatest(onKey: ((key: string) => void) | undefined): (key: string) => void {
  const latest = useRef(onKey);
  useEffect(() => {
    latest.current = onKey;
  });
  return useCallback((key) => latest.current?.(key), []);
}

/** The frame of every instrument: its question on top, what follows from it below, the keys at hand on a phone. */
export function Instrument({ title, note, backTo = '/bench', onKey, glance, children }: InstrumentProps) {
  const wide = useIsWide();
  const press = useLatest(onKey);
  return (
    <Screen
      station="bench"
      title={title}
      note={note}
      backTo={backTo}
      withoutStations={onKey !== undefined}
      foot={
        onKey && !wide ? (
          <View className="gap-2">
            {glance !== undefined && (
              // The answer below says the same aloud.
              <Words size="lead" weight={800} numberOfLines={2} aria-hidden>
                {glance}
              </Words>
            )}
            <Keypad onPress={press} />
          </View>
        ) : undefined
      }
    >
      <View className={wide ? 'max-w-[720px] gap-4' : 'gap-4'}>{children}</View>
    </Screen>
  );
}
