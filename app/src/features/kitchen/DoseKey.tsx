import { type Batch } from '@hoddle/core/day/batch';
import { JARS } from '@hoddle/core/handbook/jars';
import { ML_PER_TBSP, ML_PER_TSP } from '@hoddle/core/measure/amount';
import { printMeasures } from '@hoddle/core/measure/cookMeasure';
import { printFraction } from '@hoddle/core/measure/fraction';
import { acidDose } from '@hoddle/core/process/acidDose';
import { type Acid, checkDose } from '@hoddle/core/process/checkDose';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Words } from '@/ui/Words';
import { KitchenKey } from '@/ui/KitchenKey';
import { NumberPad } from './NumberPad';

interface DoseKeyProps {
  batch: Batch;
  onDone: () => void;
}

const SPOONS = {
  tbsp: { one: 'tablespoon', words: 'tablespoons', ml: ML_PER_TBSP },
  tsp: { one: 'teaspoon', words: 'teaspoons', ml: ML_PER_TSP },
} as const;
type Spoon = keyof typeof SPOONS;

/** Acid in every jar, confirmed with the acid and the spoon that were used: less than the dose does not go on to filling. */
export function DoseKey({ batch, onDone }: DoseKeyProps) {
  const dose = acidDose(batch.product, batch.jar);
  const [acid, setAcid] = useState<Acid>('bottled-lemon');
  const [spoon, setSpoon] = useState<Spoon>('tbsp');
  const [count, setCount] = useState(0);
  if (!dose) return <KitchenKey look="milk" words="Done" onPress={onDone} />;
  const { one } = JARS[batch.jar];
  const acids: readonly (readonly [Acid, string, Spoon])[] = [
    ['bottled-lemon', 'Bottled lemon', 'tbsp'],
    ...(dose.citricAcidTsp === undefined ? [] : [['citric-acid', 'Citric acid', 'tsp'] as const]),
    ...(dose.vinegarTbsp === undefined ? [] : [['vinegar', 'Vinegar 5 %', 'tbsp'] as const]),
  ];
  const neededMl =
    acid === 'citric-acid'
      ? (dose.citricAcidTsp ?? 0) * ML_PER_TSP
      : (acid === 'vinegar' ? (dose.vinegarTbsp ?? 0) : dose.bottledLemonJuiceTbsp) * ML_PER_TBSP;
  const neededSpoons = neededMl / SPOONS[spoon].ml;
  const check = checkDose(batch.product, batch.jar, acid, count * SPOONS[spoon].ml);
  const isEnough = check?.kind === 'enough' || check?.kind === 'much';
  const short = count > 0 && check && !isEnough;
  return (
    <View className="gap-3">
      <Chips
        label="Which acid"
        options={acids.map(([value, words]) => ({ value, words }))}
        value={acid}
        onChoose={(next) => {
          setAcid(next);
          setSpoon(acids.find(([value]) => value === next)?.[2] ?? 'tbsp');
          setCount(0);
        }}
      />
      <Chips
        label="Which spoon"
        options={(['tbsp', 'tsp'] as const).map((value) => ({ value, words: SPOONS[value].words }))}
        value={spoon}
        onChoose={setSpoon}
      />
      <NumberPad
        label={`In every ${one}`}
        value={count}
        unit={count > 0 && count <= 1 ? SPOONS[spoon].one : SPOONS[spoon].words}
        step={neededSpoons >= 1 ? 1 : neededSpoons >= 0.5 ? 0.25 : 0.125}
        onChange={setCount}
      />
      {short && (
        <Words role="alert" size="lead" weight={700} tone="milk">
          {check.kind === 'refused'
            ? check.reason
            : `Too little: a ${one} needs ${'neededMl' in check ? printMeasures(check.neededMl, { up: true }) : 'more'}. Without enough, botulism can grow in the sealed jar.`}
        </Words>
      )}
      <KitchenKey
        look="milk"
        words={
          isEnough
            ? `Every ${one} has ${printFraction(count)} ${spoon === 'tbsp' ? 'Tbsp' : 'tsp'}`
            : `Spoons in every ${one}?`
        }
        disabled={!isEnough}
        onPress={onDone}
      />
    </View>
  );
}

interface ChipsProps<Value extends string> {
  label: string;
  options: readonly { readonly value: Value; readonly words: string }[];
  value: Value;
  onChoose: (value: Value) => void;
}

/** One of a few, for wet hands on the dark kitchen screen. */
function Chips<Value extends string>({ label, options, value, onChoose }: ChipsProps<Value>) {
  return (
    <View role="radiogroup" aria-label={label} className="flex-row flex-wrap gap-2">
      {options.map(({ value: each, words }) => {
        const chosen = each === value;
        return (
          <Pressable
            key={each}
            role="radio"
            aria-checked={chosen}
            onPress={() => onChoose(each)}
            className={`min-h-[56px] justify-center rounded-pot border-2 px-4 ${chosen ? 'border-milk bg-milk' : 'border-granite-line bg-granite'}`}
          >
            <Words size="lead" weight={chosen ? 800 : 600} tone={chosen ? 'granite' : 'milk'}>
              {words}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}
