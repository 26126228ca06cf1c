import { FORMULA_CONDITION } from '@hoddle/core/process/conditions';
import { type TestedProcess } from '@hoddle/core/process/findProcess';
import { type TestedRow } from '@hoddle/core/process/testedRow';
import { type ReactNode } from 'react';
import { View } from 'react-native';
import { dayWords } from './clockWords';
import { Words } from './Words';

interface SourcePartProps {
  row: TestedRow;
  /** The answer of this kitchen; without one the source of the row's first band is told. */
  answer?: TestedProcess;
  mark?: ReactNode;
}

/** Where the time was published, whether it was checked, and what it holds for. */
export function SourcePart({ row, answer, mark }: SourcePartProps) {
  const first = row.bands.find((band) => band.kind === 'tested');
  const told = answer ?? (first?.kind === 'tested' ? first : undefined);
  const checkedOn = answer?.checkedOn;
  const holdsFor = row.conditions.filter((words) => !FORMULA_CONDITION.test(words));
  return (
    <View className="gap-2">
      {told && (
        <Words size="label" tone="ink-2">
          {told.source}
          {told.recalled ? ', as recalled' : ''}
          {checkedOn === undefined || mark ? '' : `; checked against the page on ${dayWords(checkedOn)}`}.
        </Words>
      )}
      {mark}
      <Words size="label" tone="ink-2">
        Holds for: {holdsFor.map((words) => words.charAt(0).toLowerCase() + words.slice(1)).join('; ')}.
      </Words>
    </View>
  );
}
