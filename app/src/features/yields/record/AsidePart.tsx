import { TRIMMINGS_TO } from '@hoddle/core/yields/batchRecord';
import { View } from 'react-native';
import { useUnits } from '@/store/useUnits';
import { Choice } from '@/ui/Choice';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { type RecordDraft, type RecordField } from './readRecord';

interface AsidePartProps {
  draft: RecordDraft;
  onChange: (part: Partial<RecordDraft>) => void;
  wrong: RecordField | undefined;
  /** Something is ladled off its pot, or it cooks down. */
  isLadled: boolean;
  isTrimmed: boolean;
  /** Of a batch that was planned: what is kept of it gets a place. */
  isPlanned: boolean;
}

const TO_WORDS = { kept: 'kept', animals: 'animals', compost: 'compost' } as const;

/** What else came of a batch, each as it was measured: what is left empty was not measured, and is not worked out. */
export function AsidePart({ draft, onChange, wrong, isLadled, isTrimmed, isPlanned }: AsidePartProps) {
  const isMetric = useUnits() === 'metric';
  const unit = isMetric ? 'kg' : 'lb';
  const volume = isMetric ? 'litres' : 'quarts';
  if (!isLadled && !isTrimmed) return null;
  return (
    <View className="gap-4">
      <View>
        <Heading>What else came of it</Heading>
        <Words size="label" tone="ink-2">
          Leave empty what was not measured.
        </Words>
      </View>
      {isLadled && (
        <>
          <TextField
            label={`Thin juice ladled off, in ${volume}`}
            spokenLabel="Thin juice"
            numeric
            value={draft.juice}
            onChange={(juice) => onChange({ juice })}
            wrong={wrong === 'juice'}
          />
          <TextField
            label={`Cooked off, in ${volume}`}
            spokenLabel="Cooked off"
            numeric
            value={draft.cookedOff}
            onChange={(cookedOff) => onChange({ cookedOff })}
            wrong={wrong === 'cookedOff'}
          />
        </>
      )}
      {isTrimmed && (
        <>
          <TextField
            label={`Peels, cores and pulp, in ${unit}`}
            spokenLabel="Peels, cores and pulp"
            numeric
            value={draft.trimmings}
            onChange={(trimmings) => onChange({ trimmings })}
            wrong={wrong === 'trimmings'}
          />
          <Choice
            label="Where they went"
            value={draft.trimmingsTo}
            onChoose={(trimmingsTo) => onChange({ trimmingsTo })}
            options={[
              { value: 'untold', words: 'not told' },
              ...TRIMMINGS_TO.map((value) => ({ value, words: TO_WORDS[value] })),
            ]}
          />
          {draft.trimmingsTo === 'kept' && isPlanned && (
            <Words size="label">Where it is kept, and until when, is asked when this is written down.</Words>
          )}
        </>
      )}
    </View>
  );
}
