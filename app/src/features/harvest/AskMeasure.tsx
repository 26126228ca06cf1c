import { type ProduceId } from '@hoddle/core/handbook/produce';
import { readHarvest } from '@hoddle/core/harvest/readHarvest';
import { useState } from 'react';
import { View } from 'react-native';
import { useHouseholdStore } from '@/store/householdStore';
import { useUnits } from '@/store/useUnits';
import { Key } from '@/ui/Key';
import { TextField } from '@/ui/TextField';
import { Words } from '@/ui/Words';

interface AskMeasureProps {
  crop: ProduceId;
  measure: string;
  measureWords: string;
  sentence: string;
}

/** What one of a measure weighs, asked once; then the basket is read as it was typed. */
export function AskMeasure({ crop, measure, measureWords, sentence }: AskMeasureProps) {
  const enter = useHouseholdStore((store) => store.enter);
  const unit = useUnits() === 'metric' ? 'kg' : 'lb';
  const [typed, setTyped] = useState('');
  const [asked, setAsked] = useState(false);
  const reading = readHarvest(typed, crop, unit);
  const slip = asked && reading.kind !== 'mass';
  const remember = () => {
    setAsked(true);
    if (reading.kind === 'mass')
      void enter({ kind: 'own-measure', measure: { crop, measure, massKg: reading.massKg } });
  };
  return (
    <View role="alert" className="gap-2">
      <Words weight={700}>{sentence}</Words>
      <View className="flex-row items-end gap-3">
        <View className="flex-1">
          <TextField label={`One ${measureWords} in ${unit}`} value={typed} onChange={setTyped} numeric wrong={slip} />
        </View>
        <Key words="Remember" onPress={remember} />
      </View>
      {slip && <Words>{reading.kind === 'slip' ? reading.sentence : 'Type what one weighs.'}</Words>}
    </View>
  );
}
