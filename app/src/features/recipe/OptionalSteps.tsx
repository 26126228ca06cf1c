import { type CardStep } from '@hoddle/core/handbook/cards/card';
import { stepOf } from '@hoddle/core/handbook/steps';
import { View } from 'react-native';
import { CheckRow } from '@/ui/CheckRow';
import { Words } from '@/ui/Words';

interface OptionalStepsProps {
  steps: readonly CardStep[];
  without: readonly string[];
  onFlip: (step: string) => void;
}

/** Steps that the page leaves to the cook: what is ticked is in the plan. */
export function OptionalSteps({ steps, without, onFlip }: OptionalStepsProps) {
  const optional = [...new Set(steps.filter((step) => step.optional).map(({ step }) => step))];
  if (optional.length === 0) return null;
  return (
    <View className="gap-2">
      <Words weight={700}>May be left out</Words>
      {optional.map((step) => (
        <CheckRow
          key={step}
          words={stepOf(step).plainWords}
          checked={!without.includes(step)}
          onPress={() => onFlip(step)}
        />
      ))}
    </View>
  );
}
