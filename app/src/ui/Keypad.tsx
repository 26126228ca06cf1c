import Delete from 'lucide-react-native/icons/delete';
import { memo } from 'react';
import { Pressable, View } from 'react-native';
import { COLOURS } from './colours';
import { Words } from './Words';

const ROWS = [
  ['1', '2', '3', '1/4'],
  ['4', '5', '6', '1/3'],
  ['7', '8', '9', '1/2'],
  ['.', '0', 'back', '3/4'],
] as const;

/** Figures for a thumb, with the fractions of a kitchen in a column of their own. */
export const Keypad = memo(function Keypad({ onPress }: { onPress: (key: string) => void }) {
  return (
    <View role="group" aria-label="Figures" className="gap-[6px]">
      {ROWS.map((row) => (
        <View key={row[0]} className="flex-row gap-[6px]">
          {row.map((key) => (
            <Pressable
              key={key}
              role="button"
              aria-label={key === 'back' ? 'Rub out' : key}
              onPress={() => onPress(key)}
              className={`h-[48px] flex-1 items-center justify-center rounded-key border-2 border-key-edge ${key.includes('/') ? 'bg-well' : 'bg-plate'}`}
            >
              {key === 'back' ? (
                <Delete size={26} color={COLOURS.ink} strokeWidth={2.2} />
              ) : (
                <Words size="head" weight={700}>
                  {key}
                </Words>
              )}
            </Pressable>
          ))}
        </View>
      ))}
    </View>
  );
});

/** Longer than any figure a cook means. */
const MOST_SIGNS = 48;

/** What a field holds after a key of the pad: a fraction after a whole number is set apart ("1 1/4"), rubbing out takes it whole, and so it does a word. */
export function typedAfter(typed: string, key: string): string {
  if (key === 'back') return typed.replace(/(\s*\d\/\d|\s*[a-z]+\s*|\s*.)$/i, '');
  const sign = key.includes('/') && /\d$/.test(typed) ? ` ${key}` : key;
  return typed.length < MOST_SIGNS ? typed + sign : typed;
}
