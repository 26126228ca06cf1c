import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import { type PickSource } from '@hoddle/core/harvest/pick';
import { type OwnMeasure } from '@hoddle/core/harvest/ownMeasure';
import { type Planting } from '@hoddle/core/harvest/planting';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Choice } from '@/ui/Choice';
import { ChipRadio } from '@/ui/ChipRadio';
import { COLOURS } from '@/ui/colours';
import { TextField } from '@/ui/TextField';
import { Words } from '@/ui/Words';
import { isOffered } from './OtherMeasures';
import { type PickDraft } from './usePickEntry';

const SOURCES: readonly { value: PickSource; words: string }[] = [
  { value: 'garden', words: 'garden' },
  { value: 'bought', words: 'bought' },
  { value: 'given', words: 'given' },
  { value: 'foraged', words: 'foraged' },
];

interface MorePickProps {
  draft: PickDraft;
  /** The beds of this crop. */
  plantings: readonly Planting[];
  /** What the household told of this crop's measures before. */
  ownMeasures: readonly OwnMeasure[];
  onChange: (part: Partial<PickDraft>) => void;
  dayIsWrong: boolean;
}

/** When, from where and other measures, folded to one line: most baskets are of today and from the garden. */
export function MorePick({ draft, plantings, ownMeasures, onChange, dayIsWrong }: MorePickProps) {
  const [open, setOpen] = useState(dayIsWrong);
  const shown = open || dayIsWrong;
  return (
    <View className="gap-2">
      <Pressable
        role="button"
        aria-expanded={shown}
        aria-label={`${wordsOf(draft, plantings)}. Change when, from where or in what measured.`}
        onPress={() => setOpen(!shown)}
        className="min-h-[48px] flex-row items-center justify-between"
      >
        <Words weight={600}>{wordsOf(draft, plantings)}</Words>
        {shown ? <ChevronUp color={COLOURS.cobalt} /> : <ChevronDown color={COLOURS.cobalt} />}
      </Pressable>
      {shown && (
        <>
          <Choice
            label="Picked when"
            value={draft.when}
            onChoose={(when) => onChange({ when })}
            options={[
              { value: '0', words: 'today' },
              { value: '1', words: 'yesterday' },
              { value: '2', words: '2 days ago' },
              { value: 'other', words: 'a day' },
            ]}
          />
          {draft.when === 'other' && (
            <TextField label="Which day" value={draft.day} onChange={(day) => onChange({ day })} wrong={dayIsWrong} />
          )}
          <Choice
            label="From where"
            value={draft.source}
            onChoose={(source) => onChange({ source })}
            options={SOURCES}
          />
          {draft.source === 'garden' && plantings.length > 1 && (
            <View role="radiogroup" aria-label="Bed" className="flex-row flex-wrap gap-2">
              {[{ id: null, name: 'any of them' }, ...plantings].map(({ id, name }) => (
                <ChipRadio
                  key={id ?? ''}
                  words={name}
                  chosen={draft.plantingId === id}
                  onPress={() => onChange({ plantingId: id })}
                />
              ))}
            </View>
          )}
          <TextField
            label="Measured in another vessel: colander, crate"
            spokenLabel="Another vessel"
            value={isOffered(draft.vessel, ownMeasures) ? '' : draft.vessel}
            onChange={(vessel) => onChange({ vessel })}
          />
        </>
      )}
    </View>
  );
}

const WHEN_WORDS = { '0': 'Today', '1': 'Yesterday', '2': 'Two days ago' } as const;

function wordsOf({ when, day, source, plantingId }: PickDraft, plantings: readonly Planting[]): string {
  const bed = plantings.find(({ id }) => id === plantingId) ?? (plantings.length === 1 ? plantings[0] : undefined);
  const from = source === 'garden' ? (bed?.name ?? 'from the garden') : source;
  return `${when === 'other' ? day || 'A day' : WHEN_WORDS[when]}, ${from}`;
}
