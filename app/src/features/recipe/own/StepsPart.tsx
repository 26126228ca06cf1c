import { stepOf } from '@hoddle/core/handbook/steps';
import { stepsNamed } from '@hoddle/core/handbook/stepsNamed';
import { readStep } from '@hoddle/core/recipe/own/readStep';
import { type OwnStep } from '@hoddle/core/recipe/own/recipePage';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { SmallKey } from '@/ui/SmallKey';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { StepForm } from './StepForm';
import { minutesWords } from './minutesWords';

interface StepsPartProps {
  steps: readonly OwnStep[];
  onChange: (steps: readonly OwnStep[]) => void;
}

/** The steps in the order done: the handbook's where the words mean one, else in own words; more can be written below. */
export function StepsPart({ steps, onChange }: StepsPartProps) {
  const [opened, setOpened] = useState<string>();
  const [typed, setTyped] = useState('');
  const replace = (step: OwnStep) => onChange(steps.map((other) => (other.id === step.id ? step : other)));
  const add = () => {
    if (typed.trim() === '') return;
    const { beside, ...read } = readStep(typed);
    const before = steps.at(-2);
    const after = beside && steps.length > 0 ? { after: before ? [before.id] : [] } : {};
    onChange([...steps, { ...read, ...after, id: nextId(steps) }]);
    setTyped('');
  };
  return (
    <View className="gap-2">
      <Heading>Steps, in the order done</Heading>
      <View role="list" aria-label="Steps">
        {steps.map((step, i) => (
          <View key={step.id} role="listitem" className="border-t border-hair">
            <Pressable
              role="button"
              aria-expanded={opened === step.id}
              aria-label={`Step ${i + 1}: ${step.text}. Change it.`}
              onPress={() => setOpened(opened === step.id ? undefined : step.id)}
              className="min-h-[56px] flex-row items-center gap-3 py-1"
            >
              <View className="h-[28px] w-[28px] items-center justify-center rounded-full bg-ink">
                <Words weight={800} tone="white">
                  {i + 1}
                </Words>
              </View>
              <View className="flex-1">
                <Words weight={700}>{step.text}</Words>
                <Words size="label" tone="ink-2">
                  {toldOf(step, steps)}
                </Words>
              </View>
            </Pressable>
            {opened === step.id && (
              <StepForm
                step={step}
                steps={steps}
                onChange={replace}
                onMove={(by) => onChange(moved(steps, i, by))}
                onRemove={() => onChange(without(steps, step.id))}
              />
            )}
          </View>
        ))}
      </View>
      {stepsNamed(typed).length > 0 && (
        <View role="group" aria-label="The handbook’s steps" className="flex-row flex-wrap gap-2">
          {stepsNamed(typed).map(({ entry, words }) => (
            <SmallKey
              key={entry}
              words={words}
              onPress={() => {
                onChange([...steps, { id: nextId(steps), text: words, entry, occupies: [] }]);
                setTyped('');
              }}
            />
          ))}
        </View>
      )}
      <View className="flex-row items-end gap-2">
        <View className="flex-1">
          <TextField label="One more step" value={typed} onChange={setTyped} />
        </View>
        <SmallKey words="Add" onPress={add} />
      </View>
    </View>
  );
}

/** Hands, waits and what it occupies, and what it waits for. */
function toldOf({ entry, hands, wait, occupies, after, optional, remind }: OwnStep, steps: readonly OwnStep[]): string {
  const usual = entry === undefined ? undefined : stepOf(entry);
  const waits = wait ?? (usual && usual.waitMinutes[1] > 0 ? usual.waitMinutes : undefined);
  const numbers = after?.map((id) => steps.findIndex((step) => step.id === id) + 1).filter((number) => number > 0);
  return [
    ...(hands ? [`${minutesWords(hands)} of hands`] : usual ? ['the handbook’s hands'] : []),
    ...(waits ? [`waits ${minutesWords(waits)}`] : []),
    ...occupies,
    ...(numbers ? [numbers.length === 0 ? 'may begin at once' : `after ${numbers.join(' and ')}`] : []),
    ...(remind
      ? [`${remind.words.toLowerCase()} every ${minutesWords([remind.everyMinutes, remind.everyMinutes])}`]
      : []),
    ...(optional ? ['may be left out'] : []),
  ].join(', ');
}

function nextId(steps: readonly OwnStep[]): string {
  const last = Math.max(0, ...steps.map(({ id }) => Number(id.replace(/\D/g, '')) || 0));
  return `s${last + 1}`;
}

function moved(steps: readonly OwnStep[], index: number, by: number): OwnStep[] {
  const to = index + by;
  const own = steps[index];
  if (!own || to < 0 || to >= steps.length) return [...steps];
  const others = steps.filter((step) => step !== own);
  const placed = [...others.slice(0, to), own, ...others.slice(to)];
  // Nothing waits for what comes after it.
  return placed.map((step, i) => {
    if (!step.after) return step;
    const before = new Set(placed.slice(0, i).map(({ id }) => id));
    return { ...step, after: step.after.filter((id) => before.has(id)) };
  });
}

function without(steps: readonly OwnStep[], id: string): OwnStep[] {
  return steps
    .filter((step) => step.id !== id)
    .map((step) => (step.after ? { ...step, after: step.after.filter((before) => before !== id) } : step));
}
