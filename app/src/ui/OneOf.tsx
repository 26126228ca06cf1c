import { useState } from 'react';
import { View } from 'react-native';
import { RadioRow } from './RadioRow';

interface OneOfProps {
  label: string;
  options: readonly { readonly value: string; readonly words: string }[];
  value: string;
  onChoose: (value: string) => void;
}

/** One of a list, folded to the chosen one so that the answer stays in sight; a tap unfolds it. */
export function OneOf({ label, options, value, onChoose }: OneOfProps) {
  const [open, setOpen] = useState(false);
  const chosen = options.find((option) => option.value === value) ?? options[0];
  const others = options.length - 1;
  return (
    <View role="radiogroup" aria-label={label} className="gap-2">
      {options
        .filter((option) => open || option === chosen)
        .map((option) => (
          <RadioRow
            key={option.value}
            words={option.words}
            note={open || others === 0 ? undefined : others === 1 ? 'or the other one' : `or one of ${others} others`}
            chosen={option === chosen}
            onPress={() => {
              if (open) onChoose(option.value);
              setOpen(!open && others > 0);
            }}
          />
        ))}
    </View>
  );
}
