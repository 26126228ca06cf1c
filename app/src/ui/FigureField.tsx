import { TextInput, View } from 'react-native';
import { COLOURS } from './colours';
import { Words } from './Words';

interface FigureFieldProps {
  label: string;
  typed: string;
  unitWords: string;
  active: boolean;
  large: boolean;
  wrong: boolean;
  onFocus: () => void;
  onChange: (typed: string) => void;
}

/** A figure being typed, with the keypad or a keyboard; the phone's own keyboard stays away. */
export function FigureField({ label, typed, unitWords, active, large, wrong, onFocus, onChange }: FigureFieldProps) {
  return (
    <View
      className={`${large ? 'flex-[1.5]' : 'flex-1'} rounded-key bg-plate px-3 pb-1 pt-1`}
      style={{ boxShadow: active ? '0 0 0 3px #1D3F8F' : `0 0 0 2px ${wrong ? COLOURS.ink : COLOURS.keyEdge}` }}
    >
      <Words size="small" tone="ink-2" weight={active ? 700 : 400}>
        {label}
      </Words>
      <View className="flex-row items-baseline">
        <TextInput
          aria-label={label}
          value={typed}
          onChangeText={onChange}
          onFocus={onFocus}
          inputMode="none"
          autoComplete="off"
          className="min-w-0 flex-1 font-heavy text-ink"
          style={
            {
              fontSize: typed.length > 16 ? 15 : typed.length > 12 ? 19 : typed.length > 6 ? 26 : large ? 46 : 36,
              lineHeight: large ? 54 : 54,
              height: 54,
              outlineWidth: 0,
              caretColor: COLOURS.cobalt,
              fontVariant: ['tabular-nums'],
              padding: 0,
            } as object
          }
        />
        <Words size="lead" weight={700}>
          {unitWords}
        </Words>
      </View>
    </View>
  );
}
