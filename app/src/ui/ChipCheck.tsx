import Check from 'lucide-react-native/icons/check';
import { Pressable } from 'react-native';
import { COLOURS } from './colours';
import { Words } from './Words';

/** One of many short words of which any may be meant; a chosen one has a tick, a heavier line and a bold word. */
export function ChipCheck({ words, checked, onPress }: { words: string; checked: boolean; onPress: () => void }) {
  return (
    <Pressable
      role="checkbox"
      aria-checked={checked}
      onPress={onPress}
      className={`min-h-[48px] flex-row items-center gap-1 rounded-key px-3 ${checked ? 'bg-plate' : ''}`}
      style={{ boxShadow: checked ? 'inset 0 0 0 3px #1D3F8F' : 'inset 0 0 0 2px #6C7A8C' }}
    >
      {checked && <Check size={18} strokeWidth={3.4} color={COLOURS.ink} />}
      <Words weight={checked ? 700 : 500}>{words}</Words>
    </Pressable>
  );
}
