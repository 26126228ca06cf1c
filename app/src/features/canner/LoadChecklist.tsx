import { BATH_FROM_F, LOADING_F, wantsCoolWater } from '@hoddle/core/canner/heatUp';
import { type CannedBatch } from '@hoddle/core/day/batch';
import { JARS } from '@hoddle/core/handbook/jars';
import { type Lids } from '@hoddle/core/kitchen/kitchenEvent';
import { type TestedRow } from '@hoddle/core/process/testedRow';
import { degreesWords } from '@hoddle/core/measure/degreesWords';
import { printFraction } from '@hoddle/core/measure/fraction';
import { type ReactNode } from 'react';
import { View } from 'react-native';
import { CheckRow } from '@/ui/CheckRow';
import { Choice } from '@/ui/Choice';
import { Key } from '@/ui/Key';
import { Heading } from '@/ui/Words';

/** Water for raw jars. Handbook rule 6. */
const RAW_AT_MOST_F = LOADING_F.raw;

/** What is looked at before jars go in, in the order it is done. Handbook rules 6 and 8. */
/** @param batch where its water is cooler than hot, the thermometer is asked */
export function checksOf(
  row: TestedRow | undefined,
  batch: Pick<CannedBatch, 'method' | 'pack' | 'jar'>,
  units: 'us' | 'metric',
): string[] {
  const { one } = JARS[batch.jar];
  const acid = row?.acid
    ? [
        `Acid in every ${one}: ${printFraction(row.acid.bottledLemonJuiceTbsp)} Tbsp bottled lemon juice${row.acid.citricAcidTsp === undefined ? '' : ` or ${printFraction(row.acid.citricAcidTsp)} tsp citric acid`}`,
      ]
    : [];
  const headspace = row ? `${printFraction(row.headspaceIn)} in headspace` : 'Headspace';
  const bath = batch.method === 'low-temperature-bath';
  const most = degreesWords(RAW_AT_MOST_F, units);
  const water = wantsCoolWater(batch)
    ? [`Thermometer: water at ${bath ? `${degreesWords(BATH_FROM_F, units)} to ` : ''}${most}, no hotter`]
    : [];
  return [
    ...water,
    ...acid,
    headspace,
    'Bubbles freed',
    'Topped up, headspace again',
    'Rims wiped',
    'Lids fingertip-tight',
  ];
}

interface LoadChecklistProps {
  checks: readonly string[];
  ticked: readonly string[];
  onTick: (ticked: readonly string[]) => void;
  lids: Lids;
  onLids: (lids: Lids) => void;
  /** What is asked of them besides. */
  children?: ReactNode;
}

/** Each jar before it goes in: ticked one by one, or all at once by whoever does it in her sleep. */
export function LoadChecklist({ checks, ticked, onTick, lids, onLids, children }: LoadChecklistProps) {
  const flip = (check: string) =>
    onTick(ticked.includes(check) ? ticked.filter((other) => other !== check) : [...ticked, check]);
  return (
    <View className="gap-2 border-t-2 border-hair pt-3">
      <Heading>Before they go in</Heading>
      {checks.map((check) => (
        <CheckRow key={check} words={check} checked={ticked.includes(check)} onPress={() => flip(check)} />
      ))}
      {checks.some((check) => !ticked.includes(check)) && (
        <Key look="outline" words="All of these are done" onPress={() => onTick(checks)} />
      )}
      {children}
      <Choice
        label="Lids"
        value={lids}
        onChoose={onLids}
        options={[
          { value: 'single-use', words: 'single-use lids', note: 'never tightened later' },
          { value: 'reusable', words: 'reusable lids', note: 'tightened when out' },
        ]}
      />
    </View>
  );
}
