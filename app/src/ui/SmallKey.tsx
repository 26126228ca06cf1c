import { Pressable } from 'react-native';
import { Words } from './Words';

/** A key beside words, 48 px high. */
export function SmallKey({ words, label, onPress }: { words: string; label?: string; onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      className="no-print min-h-[48px] items-center justify-center rounded-key border-2 border-cobalt px-3"
    >
      <Words tone="cobalt" weight={700}>
        {words}
      </Words>
    </Pressable>
  );
}
