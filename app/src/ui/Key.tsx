import { type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { useSingleTap } from './useSingleTap';
import { Words } from './Words';

interface KeyProps {
  words: string;
  onPress: () => void;
  /** Solid is the one thing to do next; outline is any other; quiet is a small way back. */
  look?: 'solid' | 'outline' | 'quiet';
  tall?: boolean;
  disabled?: boolean;
  label?: string;
  children?: ReactNode;
  className?: string;
}

const LOOKS = {
  solid: { box: 'bg-cobalt border-cobalt', tone: 'white' },
  outline: { box: 'border-cobalt bg-transparent', tone: 'cobalt' },
  quiet: { box: 'border-transparent bg-transparent', tone: 'cobalt' },
} as const;

/** A key to press, 52 px high and more. */
export function Key({ words, onPress, look = 'solid', tall, disabled, label, children, className = '' }: KeyProps) {
  const { box, tone } = LOOKS[look];
  const tap = useSingleTap(onPress);
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={tap}
      className={`${tall ? 'min-h-[66px]' : 'min-h-[52px]'} no-print flex-row items-center justify-center gap-2 rounded-key border-2 px-4 ${disabled ? 'border-edge bg-transparent' : box} ${className}`}
    >
      {children}
      <View className="shrink">
        <Words size="lead" weight={700} tone={disabled ? 'ink-2' : tone} className="text-center">
          {words}
        </Words>
      </View>
    </Pressable>
  );
}
