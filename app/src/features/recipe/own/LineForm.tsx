import { type Fate } from '@hoddle/core/handbook/cards/card';
import { handbookRole } from '@hoddle/core/recipe/own/handbookRole';
import { readCardLine } from '@hoddle/core/recipe/own/readCardLine';
import { type OwnLine, type OwnStep } from '@hoddle/core/recipe/own/recipePage';
import { useState } from 'react';
import { View } from 'react-native';
import { ChipRadio } from '@/ui/ChipRadio';
import { SmallKey } from '@/ui/SmallKey';
import { TextField } from '@/ui/TextField';
import { Words } from '@/ui/Words';
import { FATE_WORDS, ROLE_WORDS, withFate } from './fateWords';

interface LineFormProps {
  line: OwnLine;
  steps: readonly OwnStep[];
  fillings: readonly { readonly id: string; readonly name: string }[];
  onChange: (line: OwnLine) => void;
  onRemove: () => void;
}

/** Everything of a line that a cook may set right: the words, what it is, what becomes of it, the step it goes into. */
export function LineForm({ line, steps, fillings, onChange, onRemove }: LineFormProps) {
  const [typed, setTyped] = useState(line.text);
  const { open: _, ...settled } = line;
  const isLow = line.crops.some((crop) => handbookRole(crop) === 'low-acid');
  const reread = () =>
    onChange({ ...readCardLine(typed), id: line.id, into: line.into, ...(line.filling && { filling: line.filling }) });
  return (
    <View className="gap-3 pb-3 pt-2">
      <View className="flex-row items-end gap-2">
        <View className="flex-1">
          <TextField label="As the page says it" value={typed} onChange={setTyped} />
        </View>
        <SmallKey words="Read again" onPress={reread} />
      </View>
      <Chips label="What becomes of it">
        {(Object.keys(FATE_WORDS) as Fate[]).map((then) => (
          <ChipRadio
            key={then}
            words={FATE_WORDS[then]}
            chosen={line.then === then}
            onPress={() => onChange(withFate(line, then, steps))}
          />
        ))}
      </Chips>
      <Chips label="What it is">
        {ROLE_WORDS.filter(([role]) => !(isLow && role === 'acid-food')).map(([role, words]) => (
          <ChipRadio
            key={role}
            words={words}
            chosen={line.role === role}
            onPress={() => onChange({ ...settled, role })}
          />
        ))}
      </Chips>
      {isLow && (
        <Words size="label" tone="ink-2">
          Low in acid by the handbook: that is never raised by hand.
        </Words>
      )}
      {steps.length > 0 && (
        <Chips label="It goes in at">
          {steps.map((step, i) => (
            <ChipRadio
              key={step.id}
              words={`${i + 1} ${short(step.text)}`}
              chosen={line.into === step.id}
              onPress={() => onChange({ ...settled, into: step.id })}
            />
          ))}
        </Chips>
      )}
      {fillings.length > 0 && (
        <Chips label="Of which filling">
          <ChipRadio
            words="all of them"
            chosen={line.filling === undefined}
            onPress={() => onChange(withoutFilling(settled))}
          />
          {fillings.map(({ id, name }) => (
            <ChipRadio
              key={id}
              words={name}
              chosen={line.filling === id}
              onPress={() => onChange({ ...settled, filling: id })}
            />
          ))}
        </Chips>
      )}
      <View className="items-start">
        <SmallKey words="Take this line out" onPress={onRemove} />
      </View>
    </View>
  );
}

function withoutFilling({ filling: _, ...line }: OwnLine): OwnLine {
  return line;
}

function short(text: string): string {
  return text.length > 28 ? `${text.slice(0, 27)}…` : text;
}

function Chips({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <View className="gap-1">
      <Words size="label" weight={600}>
        {label}
      </Words>
      <View role="radiogroup" aria-label={label} className="flex-row flex-wrap gap-2">
        {children}
      </View>
    </View>
  );
}
