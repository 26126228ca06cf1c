import { Pressable } from 'react-native';
import { Words } from './Words';

/** One of many short choices that wrap; the chosen one has a heavier line, a plate and a bold word. */
export function ChipRadio({ words, chosen, onPress }: { words: string; chosen: boolean; onPress: () => void }) {
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      onPress={onPress}
      className={`min-h-[48px] justify-center rounded-key px-3 ${chosen ? 'bg-plate' : ''}`}
      style={{ boxShadow: chosen ? 'inset 0 0 0 3px #1D3F8F' : 'inset 0 0 0 2px #6C7A8C' }}
    >
      <Words weight={chosen ? 700 : 500}>{words}</Words>
    </Pressable>
  );
}
