import { type ReactNode } from 'react';
import { View } from 'react-native';
import { Keypad } from '@/ui/Keypad';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';

interface InstrumentProps {
  title: string;
  note?: string;
  backTo?: string;
  /** Keys for the figure being typed; on a wide screen the keyboard does. */
  onKey?: (key: string) => void;
  children: ReactNode;
}

/** The frame of every instrument: its question on top, what follows from it below, the keys at hand on a phone. */
export function Instrument({ title, note, backTo = '/bench', onKey, children }: InstrumentProps) {
  const wide = useIsWide();
  return (
    <Screen
      station="bench"
      title={title}
      note={note}
      backTo={backTo}
      withoutStations={onKey !== undefined}
      foot={onKey && !wide ? <Keypad onPress={onKey} /> : undefined}
    >
      <View className={wide ? 'max-w-[720px] gap-4' : 'gap-4'}>{children}</View>
    </Screen>
  );
}
