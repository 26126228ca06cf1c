import { FAULTS } from '@hoddle/core/yields/batchRecord';
import { View } from 'react-native';
import { CheckRow } from '@/ui/CheckRow';
import { TextField } from '@/ui/TextField';
import { Heading } from '@/ui/Words';
import { type RecordDraft } from './readRecord';

interface RecordMoreProps {
  draft: RecordDraft;
  onChange: (part: Partial<RecordDraft>) => void;
  isLeftoverWrong: boolean;
}

/** How a batch went, the make of its jars and lids, and what was left of the brine. */
export function RecordMore({ draft, onChange, isLeftoverWrong }: RecordMoreProps) {
  const flip = (fault: (typeof FAULTS)[number]) => {
    const { faults } = draft;
    onChange({ faults: faults.includes(fault) ? faults.filter((other) => other !== fault) : [...faults, fault] });
  };
  return (
    <View className="gap-4">
      <Heading>What went wrong, if anything</Heading>
      <View className="flex-row flex-wrap gap-2" role="group" aria-label="What went wrong">
        {FAULTS.map((fault) => (
          <CheckRow key={fault} words={fault} checked={draft.faults.includes(fault)} onPress={() => flip(fault)} />
        ))}
      </View>
      <TextField label="How it went" value={draft.note} onChange={(note) => onChange({ note })} />
      <TextField
        label="Brine or syrup left, in cups"
        spokenLabel="Brine left"
        numeric
        value={draft.leftover}
        onChange={(leftover) => onChange({ leftover })}
        wrong={isLeftoverWrong}
      />
      <TextField label="Make of the jars" value={draft.jarMake} onChange={(jarMake) => onChange({ jarMake })} />
      <TextField label="Make of the lids" value={draft.lidMake} onChange={(lidMake) => onChange({ lidMake })} />
    </View>
  );
}
