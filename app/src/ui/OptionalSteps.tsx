import { inPlaceOf } from '@hoddle/core/day/daySequence';
import { type Card } from '@hoddle/core/handbook/cards/card';
import { stepOf } from '@hoddle/core/handbook/steps';
import { View } from 'react-native';
import { CheckRow } from './CheckRow';
import { duration } from './clockWords';
import { Words } from './Words';

interface OptionalStepsProps {
  card: Pick<Card, 'steps' | 'instead'>;
  without: readonly string[];
  onFlip: (step: string) => void;
}

/** Steps that the page leaves to the cook: what is ticked is in the plan. */
export function OptionalSteps({ card, without, onFlip }: OptionalStepsProps) {
  const optional = [...new Map(card.steps.filter((step) => step.optional).map((step) => [step.step, step])).values()];
  if (optional.length === 0) return null;
  return (
    <View className="gap-2">
      <Words weight={700}>May be left out</Words>
      {optional.map(({ step, minutes }) => {
        const other = inPlaceOf(card, step);
        const isOut = without.includes(step);
        return (
          <View key={step}>
            <CheckRow words={stepOf(step).plainWords} checked={!isOut} onPress={() => onFlip(step)} />
            <Words size="label" tone="ink-2" className="pl-9">
              {costWords(minutes ?? stepOf(step).waitMinutes)}
              {other
                ? `${isOut ? 'In its place' : 'Left out'}: ${stepOf(other.step).plainWords.toLowerCase()}, ${other.note}.`
                : ''}
            </Words>
          </View>
        );
      })}
    </View>
  );
}

/** "Takes 24 h to 48 h. ", of a step that waits. */
function costWords([least, most]: readonly [number, number]): string {
  if (most === 0) return '';
  const [from, to] = [least, most].map((minutes) => duration(minutes * 60_000));
  return `Takes ${least === most ? to : `${from} to ${to}`}. `;
}
