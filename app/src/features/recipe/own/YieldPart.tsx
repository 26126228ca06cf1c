import { JAR_SIZES } from '@hoddle/core/handbook/jars';
import { readSpan } from '@hoddle/core/measure/span';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { hasGate } from '@hoddle/core/recipe/own/measuredIn';
import { type Minutes } from '@hoddle/core/recipe/own/recipePage';
import { printFraction } from '@hoddle/core/measure/fraction';
import { useState } from 'react';
import { View } from 'react-native';
import { JarChoice } from '@/ui/JarChoice';
import { Choice } from '@/ui/Choice';
import { hueOfCrop } from '@/ui/colours';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';

const HEADSPACES = ['0.125', '0.25', '0.5', '1'] as const;
const HEADSPACE_WORDS = { '0.125': '1/8 in', '0.25': '1/4 in', '0.5': '1/2 in', '1': '1 in' } as const;

interface YieldPartProps {
  page: OwnRecipe;
  onChange: (part: Partial<OwnRecipe>) => void;
}

/** What comes out of one batch, in which jars, and when it is ready. */
export function YieldPart({ page, onChange }: YieldPartProps) {
  const { yields, headspaceIn, readyDays, measured, steps } = page;
  const { jar } = yields;
  const headspace = HEADSPACES.find((value) => Number(value) === headspaceIn) ?? '0.5';
  return (
    <View className="gap-3">
      <Heading>What comes out</Heading>
      <JarChoice
        sizes={JAR_SIZES}
        value={jar}
        onChoose={(size) => onChange({ yields: { ...yields, jar: size } })}
        colours={hueOfCrop('mixed')}
        isTested={() => true}
      />
      <View className="flex-row gap-2">
        <View className="flex-1">
          <SpanField
            label="Jars, from to"
            value={[yields.low, yields.high]}
            onChange={([low, high]) => low > 0 && high <= 100 && onChange({ yields: { jar, low, high } })}
          />
        </View>
        <View className="flex-1">
          <SpanField
            label="Ready in days"
            value={readyDays}
            onChange={(days) => days[1] <= 365 && onChange({ readyDays: days })}
          />
        </View>
        {hasGate(steps) && (
          <View className="flex-1">
            <SpanField
              label="Cups measured"
              value={[measured?.cups ?? 4, measured?.cups ?? 4]}
              onChange={([, cups]) => cups > 0 && onChange({ measured: { as: measured?.as ?? 'juice', cups } })}
            />
          </View>
        )}
      </View>
      {hasGate(steps) && (
        <Words size="label" tone="ink-2">
          What is really measured at the stove rules: sugar and jars follow it.
        </Words>
      )}
      <Choice
        label="Headspace"
        value={headspace}
        onChoose={(value) => onChange({ headspaceIn: Number(value) })}
        options={HEADSPACES.map((value) => ({
          value,
          words: HEADSPACE_WORDS[value],
          ...(value === headspace && { note: 'headspace' }),
        }))}
      />
    </View>
  );
}

/** A figure or a range of two; what cannot be read stays and says so. */
export function SpanField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: Minutes;
  onChange: (value: Minutes) => void;
}) {
  const print = (each: number) => printFraction(each, 8);
  const [typed, setTyped] = useState(
    value[0] === value[1] ? print(value[0]) : `${print(value[0])} to ${print(value[1])}`,
  );
  const reading = readSpan(typed);
  return (
    <TextField
      label={label}
      value={typed}
      wrong={reading.kind === 'unreadable'}
      onChange={(text) => {
        setTyped(text);
        const read = readSpan(text);
        if (read.kind === 'span') onChange([read.span.low, read.span.high]);
      }}
    />
  );
}
