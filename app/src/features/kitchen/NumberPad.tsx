import { Pressable, View } from 'react-native';
import { Words } from '@/ui/Words';

interface NumberPadProps {
  label: string;
  value: number;
  unit: string;
  /** How much one press changes. */
  step: number;
  onChange: (value: number) => void;
}

/** A figure with a key on each side, for wet hands. */
export function NumberPad({ label, value, unit, step, onChange }: NumberPadProps) {
  const shown = Number.isInteger(value) ? String(value) : String(Math.round(value * 100) / 100);
  return (
    <View role="group" aria-label={label} className="gap-1">
      <Words size="lead" weight={600} tone="milk">
        {label}
      </Words>
      <View className="flex-row items-center gap-3">
        <Side words="-" label={`${label}: less`} onPress={() => onChange(Math.max(0, value - step))} />
        <Words
          weight={800}
          tone="milk"
          aria-live="polite"
          className="flex-1 text-center"
          style={{ fontSize: 54, lineHeight: 58 }}
        >
          {shown}
          <Words size="head" tone="milk-2">
            {' '}
            {unit}
          </Words>
        </Words>
        <Side words="+" label={`${label}: more`} onPress={() => onChange(value + step)} />
      </View>
    </View>
  );
}

function Side({ words, label, onPress }: { words: string; label: string; onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      className="h-[76px] w-[76px] items-center justify-center rounded-pot border-[3px] border-milk bg-granite"
    >
      <Words weight={800} tone="milk" style={{ fontSize: 40, lineHeight: 44 }}>
        {words}
      </Words>
    </Pressable>
  );
}
