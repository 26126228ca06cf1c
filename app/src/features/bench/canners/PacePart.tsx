import { stepRowNamed } from '@hoddle/core/handbook/steps';
import { type Pace } from '@hoddle/core/kitchen/pace';
import { pacesOf } from '@hoddle/core/kitchen/shownKitchen';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useHousehold } from '@/store/useHousehold';
import { Heading, Words } from '@/ui/Words';

/** The household's pace at each step it has timed: what the next plan goes by. */
export function PacePart() {
  const { batches, dayEvents, household } = useHousehold();
  const { of, general } = useMemo(() => pacesOf(household, { batches, dayEvents }), [household, batches, dayEvents]);
  if (of.length === 0) {
    return (
      <Words tone="ink-2">Steps that are started and done in the kitchen teach the next plan their minutes.</Words>
    );
  }
  return (
    <View>
      <Heading className="pb-1">Your pace</Heading>
      <View role="list" aria-label="Your pace">
        {[...of]
          .sort((a, b) => b.times - a.times)
          .map((pace) => (
            <View key={pace.step} role="listitem" className="min-h-[48px] justify-center border-t border-hair py-1">
              <Words weight={700}>{stepRowNamed(pace.step)?.words ?? 'Wash jars'}</Words>
              <Words size="label" tone="ink-2">
                {paceWords(pace)}
              </Words>
            </View>
          ))}
      </View>
      <Words size="label" tone="ink-2" className="pt-2">
        Steps never timed go by {factorWords(general)}, as the others have it in common.
      </Words>
    </View>
  );
}

function paceWords({ factor, times, minPerLb, usualMinPerLb }: Pace): string {
  const seen = `${times} ${times === 1 ? 'time' : 'times'}`;
  const next = `the next plan goes by ${factorWords(factor)}`;
  if (minPerLb === undefined || usualMinPerLb === undefined) return `${seen}; ${next}`;
  return `${round(minPerLb)} min a pound, handbook ${round(usualMinPerLb)} (${seen}); ${next}`;
}

function factorWords(factor: number): string {
  return `${Math.round(factor * 100)} % of the handbook’s minutes`;
}

function round(value: number): string {
  return String(Math.round(value * 10) / 10);
}
