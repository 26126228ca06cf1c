import { type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Words } from './Words';

interface KitchenKeyProps {
  words: string;
  note?: string;
  look: 'amber' | 'milk' | 'outline';
  disabled?: boolean;
  onPress: () => void;
  drawing?: ReactNode;
}

const LOOKS = {
  amber: 'bg-heat-d border-heat-d',
  milk: 'bg-milk border-milk',
  outline: 'border-milk bg-granite',
} as const;

/** A key for wet hands: 76 px and the whole width. */
export function KitchenKey({ words, note, look, disabled, onPress, drawing }: KitchenKeyProps) {
  const dark = look === 'outline' || disabled;
  return (
    <Pressable
      role="button"
      disabled={disabled}
      aria-disabled={disabled}
      onPress={onPress}
      className={`min-h-[76px] flex-row items-center gap-4 rounded-pot border-[3px] px-4 py-2 ${disabled ? 'border-granite-line bg-granite-panel' : LOOKS[look]} ${note ? '' : 'justify-center'}`}
    >
      {drawing}
      <View className={note ? 'flex-1' : 'shrink'}>
        <Words
          size="head"
          weight={700}
          tone={disabled ? 'milk-2' : dark ? 'milk' : 'granite'}
          className={note ? '' : 'text-center'}
        >
          {words}
        </Words>
      </View>
      {note && (
        <View className="max-w-[45%]">
          <Words size="lead" weight={500} tone={dark ? 'milk' : 'granite'} className="text-right">
            {note}
          </Words>
        </View>
      )}
    </Pressable>
  );
}
