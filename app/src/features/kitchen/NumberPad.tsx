import { type Unit } from '@hoddle/core/measure/amount';
import { printFraction } from '@hoddle/core/measure/fraction';
import { readIn } from '@hoddle/core/measure/readIn';
import { readNumber } from '@hoddle/core/measure/readNumber';
import { useState } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import { Words } from '@/ui/Words';

interface NumberPadProps {
  label: string;
  value: number;
  unit: string;
  /** How much one press changes. */
  step: number;
  /** Jars and minutes: there is no half of one. */
  isWhole?: true;
  /** What is measured: it may be typed in any measure of its kind, as "2 quarts" for cups. */
  of?: Unit;
  onChange: (value: number) => void;
}

/** A figure with a key on each side, for wet hands; or typed: 5 1/2 or 5,5. What cannot be stays typed and is told. */
export function NumberPad({ label, value, unit, step, isWhole, of, onChange }: NumberPadProps) {
  const [typed, setTyped] = useState<string>();
  const shown = figureOf(value, of);
  const fault = typed === undefined ? undefined : faultOf(typed, isWhole, of);
  const type = (text: string) => {
    setTyped(text);
    if (text.trim() === '' || faultOf(text, isWhole, of) !== undefined) return;
    const read = readOf(text, of);
    if (read !== undefined) onChange(read);
  };
  const press = (next: number) => {
    setTyped(undefined);
    onChange(next);
  };
  return (
    <View role="group" aria-label={label} className="gap-1">
      <Words size="lead" weight={600} tone="milk">
        {label}
      </Words>
      <View className="flex-row items-center gap-3">
        <Side words="-" label={`${label}: less`} onPress={() => press(Math.max(0, value - step))} />
        <View className="flex-1 items-stretch">
          <TextInput
            aria-label={`${label}, typed`}
            aria-invalid={fault !== undefined || undefined}
            value={typed ?? shown}
            onChangeText={type}
            onBlur={() => fault === undefined && setTyped(undefined)}
            selectTextOnFocus
            inputMode={isWhole ? 'numeric' : 'text'}
            autoComplete="off"
            className="w-full rounded-key border-2 border-granite-line text-center font-heavy text-milk"
            style={{ fontSize: 46, lineHeight: 52, height: 60, minWidth: 0 }}
          />
          <Words size="lead" tone="milk-2" className="text-center">
            {unit}
          </Words>
        </View>
        <Side words="+" label={`${label}: more`} onPress={() => press(value + step)} />
      </View>
      {fault !== undefined && (
        <Words role="alert" size="lead" weight={700} tone="milk">
          {fault}
        </Words>
      )}
    </View>
  );
}

const METRIC: readonly Unit[] = ['l', 'ml', 'kg', 'g'];
/** Closer than this to an eighth it is that eighth. */
const NEARLY = 0.02;

/** "3 1/2", as cups and spoons are marked; "3.5" of litres, and of what is no eighth. */
function figureOf(value: number, of: Unit | undefined): string {
  const eighths = Math.round(value * 8) / 8;
  const isEighths = Math.abs(value - eighths) < NEARLY && !(of && METRIC.includes(of));
  return isEighths ? printFraction(eighths) : String(Math.round(value * 100) / 100);
}

/** A figure, or an amount told in the unit that is meant. */
function readOf(typed: string, of: Unit | undefined): number | undefined {
  if (of) return readIn(typed, of, of);
  const number = readNumber(typed);
  return number.kind === 'number' ? number.value : undefined;
}

/** Why what was typed cannot be; undefined where it can. Nothing typed is nothing said. */
function faultOf(typed: string, isWhole: boolean | undefined, of: Unit | undefined): string | undefined {
  if (typed.trim() === '') return undefined;
  const read = readOf(typed, of);
  if (read === undefined) return `“${typed}” is not ${of ? 'an amount of it' : 'a number'}.`;
  return isWhole && !Number.isInteger(read) ? `“${typed}” is not a whole number.` : undefined;
}

function Side({ words, label, onPress }: { words: string; label: string; onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      className="h-[76px] w-[76px] items-center justify-center rounded-pot border-[3px] border-milk bg-granite"
    >
      <Words weight={800} tone="milk" style={{ fontSize: 40, lineHeight: 44 }}>
        {words}
      </Words>
    </Pressable>
  );
}
