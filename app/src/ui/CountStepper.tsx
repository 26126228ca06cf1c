import { readNumber } from '@hoddle/core/measure/readNumber';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { useState } from 'react';
import { TextInput, View } from 'react-native';
import { StepKey } from './Stepper';
import { Words } from './Words';

interface CountStepperProps {
  label: string;
  /** Undefined: nothing is said yet. */
  count: number | undefined;
  /** What is counted, after the number: "pints". */
  of: string;
  least?: number;
  most?: number;
  onCount: (count: number) => void;
  /** Why no more can be: "the fruit likely fills 8". */
  mostWhy?: string;
}

/** What a thumb hits. */
const TARGET_PX = 48;

/** A number of things: one less, one more, or typed, as 58 taps from 77 to 19 are none. What cannot be stays typed and is told. */
export function CountStepper({ label, count, of, least = 0, most = Infinity, onCount, mostWhy }: CountStepperProps) {
  const [typed, setTyped] = useState<string>();
  const step = (by: number) => {
    setTyped(undefined);
    onCount((count ?? 0) + by);
  };
  const fault = typed === undefined ? undefined : faultOf(typed, { least, most, ...(mostWhy && { mostWhy }) });
  const type = (text: string) => {
    setTyped(text);
    const number = readNumber(text);
    if (number.kind === 'number' && faultOf(text, { least, most }) === undefined) onCount(number.value);
  };
  const now = count ?? 0;
  return (
    <View className="gap-1">
      <View
        role="group"
        aria-label={label}
        className="h-[52px] flex-row items-stretch rounded-key border-2 border-cobalt"
      >
        <StepKey
          label={`${label}: one less`}
          Icon={Minus}
          {...(count !== undefined && now > least && { onPress: () => step(-1) })}
        />
        <View className="flex-1 flex-row items-center justify-center gap-2">
          <TextInput
            aria-label={label}
            aria-invalid={fault !== undefined || undefined}
            value={typed ?? (count === undefined ? '' : String(count))}
            onChangeText={type}
            onBlur={() => fault === undefined && setTyped(undefined)}
            selectTextOnFocus
            inputMode="numeric"
            autoComplete="off"
            className="self-stretch bg-plate text-center font-bold text-lead text-ink"
            style={{ width: Math.max(TARGET_PX, 12 + 12 * (typed ?? String(now)).length) }}
          />
          <Words size="lead" weight={700}>
            {of}
          </Words>
        </View>
        <StepKey label={`${label}: one more`} Icon={Plus} {...(now < most && { onPress: () => step(1) })} />
      </View>
      {fault !== undefined && (
        <Words size="label" weight={700} role="alert">
          {fault}
        </Words>
      )}
    </View>
  );
}

/** Why a number that was typed cannot be; undefined where it can. Nothing typed is nothing said. */
function faultOf(
  typed: string,
  { least, most, mostWhy }: { least: number; most: number; mostWhy?: string },
): string | undefined {
  if (typed.trim() === '') return undefined;
  const number = readNumber(typed);
  if (number.kind === 'unreadable' || !Number.isInteger(number.value)) return `“${typed}” is not a whole number.`;
  if (number.value < least) return `No fewer than ${least}.`;
  if (number.value > most) return `No more than ${most}${mostWhy ? `: ${mostWhy}` : ''}.`;
  return undefined;
}
