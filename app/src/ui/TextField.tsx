import { TextInput, View } from 'react-native';
import { COLOURS } from './colours';
import { Words } from './Words';

interface TextFieldProps {
  label: string;
  /** For screen readers, where the label beside it is too short to stand alone. */
  spokenLabel?: string;
  value: string;
  onChange: (typed: string) => void;
  numeric?: boolean;
  /** Not shown as it is typed. */
  secret?: boolean;
  /** What was typed is not taken: the field says so and keeps it. */
  wrong?: boolean;
}

/** A labelled field for words or a figure, 52 px high. */
export function TextField({ label, spokenLabel, value, onChange, numeric, secret, wrong }: TextFieldProps) {
  return (
    <View className="gap-1">
      <Words size="label" weight={600}>
        {label}
      </Words>
      <TextInput
        aria-label={spokenLabel ?? label}
        aria-invalid={wrong || undefined}
        value={value}
        onChangeText={onChange}
        inputMode={numeric ? 'decimal' : 'text'}
        secureTextEntry={secret}
        autoComplete={secret ? 'new-password' : 'off'}
        className="min-h-[52px] rounded-key border-2 bg-plate px-3 font-bold text-lead text-ink"
        style={{ borderColor: wrong ? COLOURS.ink : COLOURS.keyEdge, borderWidth: wrong ? 3 : 2 }}
      />
    </View>
  );
}
