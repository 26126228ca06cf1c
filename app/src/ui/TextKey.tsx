import { Pressable } from 'react-native';
import { Words } from './Words';

/** A key that is only a word, at the end of a row. */
export function TextKey({ words, label, onPress }: { words: string; label: string; onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      className="min-h-[48px] items-center justify-center px-2"
    >
      <Words tone="cobalt" weight={700}>
        {words}
      </Words>
    </Pressable>
  );
}
