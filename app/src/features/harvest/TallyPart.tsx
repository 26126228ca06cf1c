import { inZone } from '@/store/householdZone';
import { timedUses } from '@hoddle/core/day/timedUses';
import { produceRow } from '@hoddle/core/handbook/produce';
import { type SeasonTally, seasonTally } from '@hoddle/core/harvest/seasonTally';
import { useMemo } from 'react';
import { View } from 'react-native';
import { householdNow, useHousehold } from '@/store/useHousehold';
import { useMassWords } from '@/store/useUnits';
import { TallyBar } from '@/ui/TallyBar';
import { Heading, Words } from '@/ui/Words';

/** Where this year's produce went, crop by crop, in one bar each. */
export function TallyPart() {
  const { picks, batches, lotChanges } = useHousehold();
  const year = inZone(householdNow()).getFullYear();
  const tallies = useMemo(
    () => seasonTally(picks, timedUses(batches), lotChanges, Date.UTC(year, 0, 1), Date.UTC(year + 1, 0, 1)),
    [picks, batches, lotChanges, year],
  );
  if (tallies.length === 0) return null;
  const mostKg = Math.max(...tallies.map(({ cameInKg }) => cameInKg));
  return (
    <View className="gap-3 pt-5">
      <Heading>Where {year} went</Heading>
      {tallies.map((tally) => (
        <TallyRow key={tally.crop} tally={tally} mostKg={mostKg} />
      ))}
    </View>
  );
}

function TallyRow({ tally, mostKg }: { tally: SeasonTally; mostKg: number }) {
  const mass = useMassWords();
  const { crop, cameInKg, inJarsKg, ended, onHandKg, frozenKg } = tally;
  const parts = [
    { words: 'in jars', kg: inJarsKg },
    { words: 'on hand', kg: onHandKg },
    { words: 'frozen', kg: frozenKg },
    { words: 'eaten fresh', kg: ended.eaten },
    { words: 'given away', kg: ended['given-away'] },
    { words: 'fed to animals', kg: ended.fed },
    { words: 'lost', kg: ended.lost },
  ].filter(({ kg }) => kg > 0.02);
  return (
    <View className="gap-1">
      <View className="flex-row justify-between">
        <Words weight={700}>{produceRow(crop).name}</Words>
        <Words>{mass(cameInKg)} came in</Words>
      </View>
      <TallyBar crop={crop} {...{ cameInKg, inJarsKg, mostKg }} heldKg={onHandKg + frozenKg} lostKg={ended.lost} />
      <Words size="label" tone="ink-2">
        {parts.map(({ words, kg }) => `${mass(kg)} ${words}`).join(', ')}
      </Words>
    </View>
  );
}
