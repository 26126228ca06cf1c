import { Pressable } from 'react-native';
import { Words } from './Words';

interface RadioRowProps {
  words: string;
  note?: string;
  chosen: boolean;
  onPress: () => void;
}

/** One of several, a row each; the chosen one has a heavier line, a plate and a bold word. */
export function RadioRow({ words, note, chosen, onPress }: RadioRowProps) {
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      onPress={onPress}
      className={`min-h-[52px] justify-center rounded-key px-3 py-1 ${chosen ? 'bg-plate' : ''}`}
      style={{ boxShadow: chosen ? 'inset 0 0 0 3px #1D3F8F' : 'inset 0 0 0 2px #6C7A8C' }}
    >
      <Words weight={chosen ? 700 : 500}>{words}</Words>
      {note !== undefined && (
        <Words size="small" tone="ink-2">
          {note}
        </Words>
      )}
    </Pressable>
  );
}
