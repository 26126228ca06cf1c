import { READY_DAYS } from '@hoddle/core/pantry/coldLot';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { type Filling } from '@hoddle/core/recipe/own/recipePage';
import { useState } from 'react';
import { View } from 'react-native';
import { SmallKey } from '@/ui/SmallKey';
import { TextField } from '@/ui/TextField';
import { TextKey } from '@/ui/TextKey';
import { Heading, Words } from '@/ui/Words';
import { SpanField } from './YieldPart';

interface FillingsPartProps {
  page: OwnRecipe;
  onChange: (part: Partial<OwnRecipe>) => void;
}

/** Several fillings under one covering liquid: each with its name, its own lines and its own days. */
export function FillingsPart({ page, onChange }: FillingsPartProps) {
  const { fillings, lines } = page;
  const [typed, setTyped] = useState('');
  const add = () => {
    const name = typed.trim();
    if (name === '') return;
    const number = Math.max(0, ...fillings.map(({ id }) => Number(id.slice(1)) || 0)) + 1;
    // The jars of the batch, shared out anew among all fillings.
    const all = fillings.length + 1;
    const share = Math.max(1, Math.floor(page.yields.high / all));
    const filling: Filling = { id: `f${number}`, name, jars: share, readyDays: READY_DAYS.cut };
    // A line of that name is its own from now on.
    const word = name.toLowerCase().replace(/s$/, '');
    const own = lines.map((line) =>
      line.filling === undefined && line.item.toLowerCase().includes(word) ? { ...line, filling: filling.id } : line,
    );
    onChange({ fillings: [...fillings.map((each) => ({ ...each, jars: share })), filling], lines: own });
    setTyped('');
  };
  const change = (changed: Filling) =>
    onChange({ fillings: fillings.map((each) => (each.id === changed.id ? changed : each)) });
  const remove = (id: string) =>
    onChange({
      fillings: fillings.filter((each) => each.id !== id),
      lines: lines.map(({ filling, ...line }) =>
        filling === undefined || filling === id ? line : { ...line, filling },
      ),
    });
  return (
    <View className="gap-2">
      <Heading>One liquid over several fillings</Heading>
      {fillings.length === 0 && (
        <Words size="label" tone="ink-2">
          Carrots, beans, small onions under one brine: name each, and it gets jars, days and a name of its own.
        </Words>
      )}
      {fillings.map((filling) => (
        <View key={filling.id} className="gap-2 border-t border-hair pt-2">
          <View className="flex-row items-end gap-2">
            <View className="flex-1">
              <Words weight={700}>{filling.name}</Words>
              <Words size="label" tone="ink-2">
                {ownLines(lines.filter((line) => line.filling === filling.id).length)}
              </Words>
            </View>
            <View className="w-[84px]">
              <SpanField
                key={`jars ${filling.jars}`}
                label="Its jars"
                value={[filling.jars, filling.jars]}
                onChange={([, jars]) => jars > 0 && jars <= 100 && change({ ...filling, jars })}
              />
            </View>
            <View className="w-[104px]">
              <SpanField
                key={`ready ${filling.readyDays.join()}`}
                label="Ready in days"
                value={filling.readyDays}
                onChange={(readyDays) => change({ ...filling, readyDays })}
              />
            </View>
          </View>
          <View className="flex-row flex-wrap gap-2">
            <SmallKey words="Cut: 1 to 3 days" onPress={() => change({ ...filling, readyDays: READY_DAYS.cut })} />
            <SmallKey words="Whole: a week" onPress={() => change({ ...filling, readyDays: READY_DAYS.whole })} />
            <TextKey words="Take out" label={`Take ${filling.name} out`} onPress={() => remove(filling.id)} />
          </View>
        </View>
      ))}
      <View className="flex-row items-end gap-2">
        <View className="flex-1">
          <TextField label="A filling" value={typed} onChange={setTyped} />
        </View>
        <SmallKey words="Add" onPress={add} />
      </View>
    </View>
  );
}

function ownLines(count: number): string {
  return count === 0 ? 'no line of its own yet' : count === 1 ? 'one line of its own' : `${count} lines of its own`;
}
