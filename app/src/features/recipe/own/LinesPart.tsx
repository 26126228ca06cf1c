import { placeLines } from '@hoddle/core/recipe/own/placeLines';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { readCardLine } from '@hoddle/core/recipe/own/readCardLine';
import { type OwnLine } from '@hoddle/core/recipe/own/recipePage';
import { useState } from 'react';
import { View } from 'react-native';
import { SmallKey } from '@/ui/SmallKey';
import { TextField } from '@/ui/TextField';
import { Heading } from '@/ui/Words';
import { LineRow } from './LineRow';

interface LinesPartProps {
  page: OwnRecipe;
  onChange: (lines: readonly OwnLine[]) => void;
}

/** Every ingredient in the order of the page; one more is written below and read like the rest. */
export function LinesPart({ page, onChange }: LinesPartProps) {
  const { lines, steps, fillings } = page;
  const [opened, setOpened] = useState<string>();
  const [typed, setTyped] = useState('');
  const add = () => {
    const [read] = typed.trim() === '' ? [] : placeLines([readCardLine(typed)], steps);
    if (!read) return;
    const last = Math.max(0, ...lines.map(({ id }) => Number(id.replace(/\D/g, '')) || 0));
    onChange([...lines, { ...read, id: `l${last + 1}` }]);
    setTyped('');
  };
  return (
    <View className="gap-2">
      <Heading>What goes in</Heading>
      <View role="list" aria-label="Ingredients">
        {lines.map((line) => (
          <LineRow
            key={line.id}
            line={line}
            steps={steps}
            fillings={fillings}
            isOpened={opened === line.id}
            onOpen={() => setOpened(opened === line.id ? undefined : line.id)}
            onChange={(changed) => onChange(lines.map((other) => (other.id === line.id ? changed : other)))}
            onRemove={() => onChange(lines.filter((other) => other.id !== line.id))}
          />
        ))}
      </View>
      <View className="flex-row items-end gap-2">
        <View className="flex-1">
          <TextField label="One more line" value={typed} onChange={setTyped} />
        </View>
        <SmallKey words="Add" onPress={add} />
      </View>
    </View>
  );
}
