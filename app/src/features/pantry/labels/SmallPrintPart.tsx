import { TextInput, View } from 'react-native';
import { isOnlyHere } from '@/store/shell/reachedAt';
import { CheckRow } from '@/ui/CheckRow';
import { COLOURS } from '@/ui/colours';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { type LabelDraft } from './useLabelDraft';

interface SmallPrintPartProps {
  draft: LabelDraft;
  change: (part: Partial<LabelDraft>) => void;
}

/** What else stands on a label: a code to scan, a note, what a label of what is sold usually names. */
export function SmallPrintPart({ draft, change }: SmallPrintPartProps) {
  const isAddress = /^https?:\/\/[^/\s]+\/?$/i.test(draft.base.trim());
  return (
    <View className="gap-3">
      <Heading>What else stands on it</Heading>
      <CheckRow
        words="A code to scan"
        note="any camera opens the jar’s page; the five signs are printed all the same"
        checked={draft.withCode === 'yes'}
        onPress={() => change({ withCode: draft.withCode === 'yes' ? 'no' : 'yes' })}
      />
      {draft.withCode === 'yes' && (
        <>
          <TextField label="It leads to" value={draft.base} wrong={!isAddress} onChange={(base) => change({ base })} />
          {!isAddress && (
            <Words role="alert" weight={700}>
              An address begins with http:// and has no path: http://192.168.1.20:4860. Labels have no code to scan
              until it is one.
            </Words>
          )}
          {isAddress && isOnlyHere(draft.base) && (
            <Words tone="ink-2">
              This address is only this machine’s own: another phone’s camera does not get there. Inside Hoddle the code
              is read whatever the address; Bench, Who comes in says how phones come in.
            </Words>
          )}
        </>
      )}
      <View className="gap-1">
        <Words size="label" weight={600}>
          A note, two lines or more
        </Words>
        <TextInput
          aria-label="A note, two lines or more"
          multiline
          value={draft.note}
          onChangeText={(note) => change({ note })}
          maxLength={200}
          className="min-h-[76px] rounded-key border-2 border-key-edge bg-plate p-3 font-body text-body text-ink"
          style={{ borderColor: COLOURS.keyEdge }}
        />
      </View>
      <Heading>For a fair, a stall, a gift</Heading>
      <CheckRow
        words="What it contains that some cannot eat"
        note="read from the recipe; what a bought ingredient holds besides stands on its own label"
        checked={draft.allergens === 'yes'}
        onPress={() => change({ allergens: draft.allergens === 'yes' ? 'no' : 'yes' })}
      />
      <TextField
        label="Net weight or volume, as measured"
        value={draft.netWeight}
        onChange={(netWeight) => change({ netWeight })}
      />
      <TextField
        label="The line your rules ask for"
        value={draft.statement}
        onChange={(statement) => change({ statement })}
      />
      <Words tone="ink-2">
        What is sold usually names the kitchen it was made in, that nobody inspects it, all ingredients by weight, what
        it contains of the listed allergens, and the net weight. Check your local rules: cottage-food law differs from
        place to place; your extension office knows it.
      </Words>
    </View>
  );
}
