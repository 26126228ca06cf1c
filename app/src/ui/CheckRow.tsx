import Check from 'lucide-react-native/icons/check';
import { Pressable, View } from 'react-native';
import { COLOURS } from './colours';
import { Words } from './Words';

interface CheckRowProps {
  words: string;
  note?: string;
  checked: boolean;
  onPress: () => void;
}

/** Yes or no for one of a list: a box with a tick, a heavier line and a bold word. */
export function CheckRow({ words, note, checked, onPress }: CheckRowProps) {
  return (
    <Pressable
      role="checkbox"
      aria-checked={checked}
      onPress={onPress}
      className={`min-h-[52px] flex-row items-center gap-3 rounded-key px-3 py-1 ${checked ? 'bg-plate' : ''}`}
      style={{ boxShadow: checked ? 'inset 0 0 0 3px #1D3F8F' : 'inset 0 0 0 2px #6C7A8C' }}
    >
      <View className="h-[24px] w-[24px] items-center justify-center rounded-chip border-2 border-ink">
        {checked && <Check size={18} strokeWidth={3.4} color={COLOURS.ink} />}
      </View>
      <View className="flex-1">
        <Words weight={checked ? 700 : 500}>{words}</Words>
        {note !== undefined && (
          <Words size="small" tone="ink-2">
            {note}
          </Words>
        )}
      </View>
    </Pressable>
  );
}
