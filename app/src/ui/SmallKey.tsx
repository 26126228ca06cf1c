import { Pressable } from 'react-native';
import { Words } from './Words';

interface SmallKeyProps {
  words: string;
  label?: string;
  /** What it stands on: the kitchen's screens are dark. */
  on?: 'light' | 'granite';
  onPress: () => void;
}

/** A key beside words, 48 px high. */
export function SmallKey({ words, label, on = 'light', onPress }: SmallKeyProps) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      className={`no-print min-h-[48px] items-center justify-center rounded-key border-2 px-3 ${on === 'light' ? 'border-cobalt' : 'border-milk'}`}
    >
      <Words tone={on === 'light' ? 'cobalt' : 'milk'} weight={700}>
        {words}
      </Words>
    </Pressable>
  );
}
