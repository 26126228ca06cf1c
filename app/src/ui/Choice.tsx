import { type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Words } from './Words';

interface ChoiceProps<Value extends string> {
  label: string;
  options: readonly { value: Value; words: string; note?: string; drawing?: ReactNode; disabled?: boolean }[];
  value: Value;
  onChoose: (value: Value) => void;
}

/** One of a few, side by side. The chosen one has a heavier line, a plate and a bold word. */
export function Choice<Value extends string>({ label, options, value, onChoose }: ChoiceProps<Value>) {
  return (
    <View role="radiogroup" aria-label={label} className="flex-row rounded-key border-2 border-key-edge">
      {options.map((option) => {
        const chosen = option.value === value;
        return (
          <Pressable
            key={option.value}
            role="radio"
            aria-checked={chosen}
            onPress={() => onChoose(option.value)}
            className={`min-h-[50px] shrink grow basis-auto items-center justify-center gap-1 rounded-key px-1 py-1 ${chosen ? 'bg-plate' : ''}`}
            style={chosen ? { boxShadow: '0 0 0 3px #1D3F8F' } : undefined}
          >
            {option.drawing}
            <Words size="body" weight={chosen ? 700 : 500} className="text-center">
              {option.words}
            </Words>
            {option.note !== undefined && (
              <Words size="label" tone="ink-2" className="text-center">
                {option.note}
              </Words>
            )}
          </Pressable>
        );
      })}
    </View>
  );
}
