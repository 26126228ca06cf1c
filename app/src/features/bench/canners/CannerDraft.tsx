import { type CannerRow } from '@hoddle/core/handbook/canners';
import { printFraction } from '@hoddle/core/measure/fraction';
import { useState } from 'react';
import { View } from 'react-native';
import { Key } from '@/ui/Key';
import { RadioRow } from '@/ui/RadioRow';
import { TextField } from '@/ui/TextField';

/** A canner to be written down: its kind gives the measures, its name tells it from the others. */
export function CannerDraft({
  rows,
  onKeep,
}: {
  rows: readonly CannerRow[];
  onKeep: (row: CannerRow, name: string) => void;
}) {
  const [name, setName] = useState('');
  const [kind, setKind] = useState(rows[0]?.canner);
  const row = rows.find(({ canner }) => canner === kind);
  return (
    <View className="gap-3">
      <TextField label="Its name" value={name} onChange={setName} />
      <View role="radiogroup" aria-label="Kind of canner" className="gap-2">
        {rows.map(({ canner, insideDiameterIn, insideHeightIn }) => (
          <RadioRow
            key={canner}
            words={canner}
            note={`${printFraction(insideDiameterIn)} in wide, ${printFraction(insideHeightIn)} in deep`}
            chosen={kind === canner}
            onPress={() => setKind(canner)}
          />
        ))}
      </View>
      <Key words="Write it down" disabled={!row} onPress={() => row && onKeep(row, name.trim() || row.canner)} />
    </View>
  );
}
