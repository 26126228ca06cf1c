import Check from 'lucide-react-native/icons/check';
import { type DayTask } from '@hoddle/core/day/dayProblem';
import { type Batch } from '@hoddle/core/day/batch';
import { JARS } from '@hoddle/core/handbook/jars';
import { type AmountLine } from '@hoddle/core/recipe/recipeFor';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { amountWordsOf } from '@hoddle/core/recipe/amountWords';
import { linesOfStep, produceOfStep } from '@hoddle/core/recipe/stepGroups';
import { ScalePart } from '@/household/instruments/ScalePart';
import { useBatchAmounts } from '@/household/recipe/useBatchAmounts';
import { useUnits } from '@/store/useUnits';
import { COLOURS } from '@/ui/colours';
import { Words } from '@/ui/Words';
import { AmountRow } from './AmountRow';

interface StepAmountsProps {
  task: DayTask;
  batch: Batch | undefined;
}

/** What goes in at this step, large, for this pot: tapped when it is in; pot after pot where there are several. */
export function StepAmounts({ task, batch }: StepAmountsProps) {
  const amounts = useBatchAmounts(batch);
  const [pot, setPot] = useState(0);
  const [ticked, setTicked] = useState<readonly string[]>([]);
  if (!amounts || !batch || task.entry === undefined) return null;
  const load = amounts.loads.find(({ loadId }) => loadId === task.loadId);
  const lines = load?.amounts.lines ?? amounts.lines;
  // The task's name tells the crop that it works on: "slice:onion".
  const [entry = task.entry] = task.id.split(' ');
  const goesIn = linesOfStep(lines, entry);
  // Peels and stones are cut off of what is weighed here: it is told, not measured in.
  const shown = goesIn.length > 0 ? goesIn : produceOfStep(lines, amounts.card, entry);
  if (shown.length === 0) return null;
  // A pot that fills two loads is boiled for the first of them.
  if (goesIn.length > 0 && goesIn.every(({ all, perJar }) => !perJar && all.of !== 'words' && all.value === 0)) {
    return (
      <Words size="lead" weight={700} tone="milk">
        Nothing more goes in: these jars are filled from the pot before.
      </Words>
    );
  }
  // Soaked or dripped for several loads at once, it is weighed out together; only then do pots differ.
  const isShared = task.loadId === undefined && amounts.loads.length > 1;
  const inPots = isShared ? [] : goesIn.filter(({ line, perJar, each }) => !perJar && each && line.then !== 'drained');
  const pots = inPots.length > 0 ? (load?.amounts.pots ?? amounts.pots) : 1;
  const first = load?.firstPot ?? 1;
  const isInPots = pots > 1;
  const flip = (key: string) =>
    setTicked((before) => (before.includes(key) ? before.filter((other) => other !== key) : [...before, key]));
  return (
    <View className="gap-1">
      {isInPots && (
        <View className="flex-row items-center gap-3">
          <Words size="lead" weight={800} tone="milk" className="flex-1">
            Pot {first + pot} of {amounts.pots}
          </Words>
          <Pressable
            role="button"
            onPress={() => {
              setPot((pot + 1) % pots);
              setTicked([]);
            }}
            className="min-h-[56px] justify-center rounded-pot border-2 border-milk px-4"
          >
            <Words size="lead" weight={700} tone="milk">
              {pot + 1 < pots ? 'Next pot' : 'First pot again'}
            </Words>
          </Pressable>
        </View>
      )}
      <WeighNext
        lines={shown.filter(({ line }) => !ticked.includes(line.item + line.into))}
        of={isInPots ? 'pot' : 'all'}
      />
      {shown.map((line) => {
        const key = line.line.item + line.line.into;
        return (
          <InRow
            key={key}
            line={line}
            of={isInPots ? 'pot' : 'all'}
            note={noteOf(line, JARS[batch.jar].one)}
            ticked={ticked.includes(key)}
            onPress={() => flip(key)}
          />
        );
      })}
    </View>
  );
}

/** The next of what is weighed, on the scale to what it is to be. */
function WeighNext({ lines, of }: { lines: readonly AmountLine[]; of: 'pot' | 'all' }) {
  const { line, target } = lines
    .map((each) => ({ line: each, target: of === 'pot' ? (each.each ?? each.all) : each.all }))
    .find((each) => each.target.of === 'kg' && each.target.value > 0) ?? { line: undefined, target: undefined };
  if (!line || target?.of !== 'kg') return null;
  return (
    <ScalePart
      key={line.line.item}
      first="kitchen-scale"
      what={line.line.item}
      on="granite"
      target={1_000 * target.value}
    />
  );
}

function noteOf({ line, perJar }: AmountLine, jar: string): string {
  if (perJar) return `in every ${jar}`;
  if (line.then === 'drained') return 'poured off again';
  return line.then === 'taken-out' ? 'fished out again' : '';
}

interface InRowProps {
  line: AmountLine;
  of: 'pot' | 'all';
  note: string;
  ticked: boolean;
  onPress: () => void;
}

/** One ingredient, to be read from two feet away and ticked with a wet finger. */
function InRow({ line, of, note, ticked, onPress }: InRowProps) {
  const { amount, item, beside } = amountWordsOf(line, useUnits(), of);
  const more = [note, beside].filter(Boolean).join('; ');
  return (
    <Pressable
      role="checkbox"
      aria-checked={ticked}
      aria-label={`${amount} ${item}${more === '' ? '' : `, ${more}`}: in`}
      onPress={onPress}
      className="min-h-[56px] flex-row items-center gap-3 border-t border-granite-line py-1"
    >
      <View className="h-[32px] w-[32px] items-center justify-center rounded-chip border-2 border-milk">
        {ticked && <Check size={24} strokeWidth={3.4} color={COLOURS.milk} />}
      </View>
      <View className="flex-1">
        <AmountRow line={line} of={of} isIn={ticked} />
        {more !== '' && (
          <Words tone="milk-2" size="body">
            {more}
          </Words>
        )}
      </View>
    </Pressable>
  );
}
