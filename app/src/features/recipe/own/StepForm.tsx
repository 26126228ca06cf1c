import { keepsHandbookStep } from '@hoddle/core/recipe/own/cardOfPage';
import { readStep } from '@hoddle/core/recipe/own/readStep';
import { type Minutes, OCCUPIES, type OwnStep } from '@hoddle/core/recipe/own/recipePage';
import { useState } from 'react';
import { View } from 'react-native';
import { ChipCheck } from '@/ui/ChipCheck';
import { CheckRow } from '@/ui/CheckRow';
import { SmallKey } from '@/ui/SmallKey';
import { TextField } from '@/ui/TextField';
import { Words } from '@/ui/Words';
import { minutesWords, readMinutes } from './minutesWords';

interface StepFormProps {
  step: OwnStep;
  steps: readonly OwnStep[];
  onChange: (step: OwnStep) => void;
  onMove: (by: -1 | 1) => void;
  onRemove: () => void;
}

/** One step: its words, hands and waits from and to, what it occupies, what it waits for. */
export function StepForm({ step, steps, onChange, onMove, onRemove }: StepFormProps) {
  const { id, occupies, optional, after } = step;
  const [words, setWords] = useState(step.text);
  const [tool, setTool] = useState('');
  const at = steps.findIndex((other) => other.id === id);
  const before = steps[at - 1];
  const isBeside = after !== undefined && before !== undefined && !after.includes(before.id);
  const reread = () => {
    const { beside: _, ...read } = readStep(words);
    onChange({ ...read, id, ...(after && { after }) });
  };
  const flip = (name: string) => {
    const names = occupies.includes(name) ? occupies.filter((other) => other !== name) : [...occupies, name];
    onChange({ ...step, occupies: names });
  };
  const flipBeside = () => {
    const { after: _, ...alone } = step;
    if (isBeside) return onChange(alone);
    const first = before?.after ?? (steps[at - 2] ? [steps[at - 2]?.id ?? ''] : []);
    return onChange({ ...alone, after: first });
  };
  const named = occupies.filter((name) => !OCCUPIES.some((known) => known === name));
  return (
    <View className="gap-3 pb-3 pt-1">
      <View className="flex-row items-end gap-2">
        <View className="flex-1">
          <TextField label="In words" value={words} onChange={setWords} />
        </View>
        <SmallKey words="Read again" onPress={reread} />
      </View>
      <View className="flex-row gap-2">
        <View className="flex-1">
          <TimeField
            label="Hands, from to"
            value={step.hands}
            onChange={(hands) => onChange(withTime(step, 'hands', hands))}
          />
        </View>
        <View className="flex-1">
          <TimeField label="Then waits" value={step.wait} onChange={(wait) => onChange(withTime(step, 'wait', wait))} />
        </View>
      </View>
      {keepsHandbookStep(step) && (
        <Words size="label" tone="ink-2">
          The handbook’s step: its hands follow your own pace, and its wait is the one written here.
        </Words>
      )}
      <Words size="label" weight={600}>
        It occupies
      </Words>
      <View role="group" aria-label="It occupies" className="flex-row flex-wrap gap-2">
        {[...OCCUPIES, ...named].map((name) => (
          <ChipCheck key={name} words={name} checked={occupies.includes(name)} onPress={() => flip(name)} />
        ))}
      </View>
      <View className="flex-row items-end gap-2">
        <View className="flex-1">
          <TextField label="Another tool, by its name" value={tool} onChange={setTool} />
        </View>
        <SmallKey
          words="Add"
          onPress={() => {
            const name = tool.trim().toLowerCase();
            if (name !== '' && !occupies.includes(name)) onChange({ ...step, occupies: [...occupies, name] });
            setTool('');
          }}
        />
      </View>
      {at > 0 && (
        <CheckRow
          words="Goes on beside the step before"
          note="What comes then waits for both."
          checked={isBeside}
          onPress={flipBeside}
        />
      )}
      <CheckRow
        words="May be left out"
        checked={optional ?? false}
        onPress={() => {
          const { optional: was, ...rest } = step;
          onChange(was ? rest : { ...rest, optional: true });
        }}
      />
      <View className="flex-row flex-wrap gap-2">
        <SmallKey words="Earlier" onPress={() => onMove(-1)} />
        <SmallKey words="Later" onPress={() => onMove(1)} />
        <SmallKey words="Take it out" onPress={onRemove} />
      </View>
    </View>
  );
}

function withTime(step: OwnStep, part: 'hands' | 'wait', time: Minutes | undefined): OwnStep {
  const { [part]: _, ...rest } = step;
  return time ? { ...rest, [part]: time } : rest;
}

function TimeField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: Minutes | undefined;
  onChange: (time: Minutes | undefined) => void;
}) {
  const [typed, setTyped] = useState(value ? minutesWords(value) : '');
  const isWrong = typed.trim() !== '' && readMinutes(typed) === undefined;
  return (
    <TextField
      label={label}
      value={typed}
      wrong={isWrong}
      onChange={(text) => {
        setTyped(text);
        const time = readMinutes(text);
        if (time || text.trim() === '') onChange(time);
      }}
    />
  );
}
