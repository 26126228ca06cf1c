import { type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { findProduce } from '@hoddle/core/handbook/produce';
import { measureWords } from '@hoddle/core/recipe/kitchenMeasure';
import { type AmountLine, type Covering } from '@hoddle/core/recipe/recipeFor';
import { type RecipeStep } from '@hoddle/core/recipe/recipeSteps';
import { printMeasures } from '@hoddle/core/measure/cookMeasure';
import { type MissingProduce } from '@hoddle/core/yields/otherCrops';
import { View } from 'react-native';
import { useUnits } from '@/store/useUnits';
import { CropGlyph } from '@/ui/CropGlyph';
import { Words } from '@/ui/Words';
import { type AmountWords, amountWordsOf } from '@hoddle/core/recipe/amountWords';
import { SinkDrawing } from '@/ui/SinkDrawing';
import { type StepGroup, stepGroups } from '@hoddle/core/recipe/stepGroups';

/** What a sheet shows: the amounts of one recipe for the jars there are. */
export interface SheetContent {
  readonly lines: readonly AmountLine[];
  readonly steps: readonly RecipeStep[];
  readonly pots: number;
  readonly coverings: readonly Covering[];
}

interface RecipeSheetProps {
  content: SheetContent;
  jar: JarSize;
  missing?: readonly MissingProduce[];
}

/** A recipe as it is made: the produce, what goes in at each step, what is poured off, what goes into each jar. */
export function RecipeSheet({ content, jar, missing = [] }: RecipeSheetProps) {
  const units = useUnits();
  const { lines, steps, pots, coverings } = content;
  const groups = stepGroups(lines, steps);
  return (
    <View className="gap-3">
      <View role="list" aria-label="Produce" className="gap-2">
        {groups.produce.map((line) => (
          <ProduceRow
            key={line.line.item + line.line.into}
            words={amountWordsOf(line, units, 'all')}
            line={line}
            missing={missing.find(({ crop }) => line.line.crops.includes(crop))}
          />
        ))}
      </View>
      {pots > 1 && (
        <Words weight={700}>
          In {pots} pots side by side, never in one. The amounts here are of {pots === 2 ? 'both' : `all ${pots}`}{' '}
          together.
        </Words>
      )}
      {groups.steps.map((group, i) => (
        <Step
          key={`${group.step.step} ${group.drained} ${group.perJar}`}
          group={group}
          number={i + 1}
          jar={jar}
          pots={pots}
        />
      ))}
      {coverings.length > 0 && <CoveringPart coverings={coverings} />}
    </View>
  );
}

function ProduceRow({ words, line, missing }: { words: AmountWords; line: AmountLine; missing?: MissingProduce }) {
  const crop = line.line.crops[0] === undefined ? undefined : findProduce(line.line.crops[0])?.crop;
  return (
    <View role="listitem" className="flex-row items-center gap-3">
      <View className="w-[40px] items-center">{crop && <CropGlyph crop={crop} size={36} />}</View>
      <View className="flex-1">
        <Words>
          <Words size="head" weight={800}>
            {words.amount}
          </Words>{' '}
          {words.item}
        </Words>
        {words.beside !== '' && (
          <Words size="label" tone="ink-2">
            {words.beside}
          </Words>
        )}
      </View>
      {missing && (
        <View className="rounded-chip bg-ink px-2 py-1">
          <Words size="label" weight={700} tone="white">
            missing
          </Words>
        </View>
      )}
    </View>
  );
}

function Step({ group, number, jar, pots }: { group: StepGroup; number: number; jar: JarSize; pots: number }) {
  const units = useUnits();
  const { step, lines, drained, perJar } = group;
  const title = perJar ? `In every ${JARS[jar].one}` : step.words;
  const wait = perJar || /\d (min|h)\b/.test(step.words) ? '' : waitWords(step);
  return (
    <View
      role="group"
      aria-label={`${title}${drained ? ', poured off' : ''}`}
      className={drained ? 'px-3' : 'rounded-plate border-t-[3px] border-cobalt bg-plate px-3 py-3'}
    >
      <View className="flex-row items-center gap-2 pb-1">
        <View className="h-[28px] w-[28px] items-center justify-center rounded-full bg-ink">
          <Words weight={800} tone="white">
            {number}
          </Words>
        </View>
        <Words size="lead" weight={700} className="flex-1">
          {title}
        </Words>
        {wait !== '' && <Words tone="ink-2">{wait}</Words>}
      </View>
      <View className="flex-row items-end gap-3">
        <View role="list" className="flex-1 gap-1 pl-9">
          {lines.map((line) => {
            const { key, amount, item, beside } = amountWordsOf(line, units, 'all');
            const each =
              pots > 1 && line.each && line.each.of !== 'words' ? measureWords(line.each, units, line.line.role) : '';
            return (
              <View key={key} role="listitem">
                <Words>
                  <Words size="lead" weight={800}>
                    {amount}
                  </Words>{' '}
                  {item}
                </Words>
                {(beside !== '' || each !== '') && (
                  <Words size="label" tone="ink-2">
                    {[
                      ...(each === '' || drained ? [] : [`${each} in each pot`]),
                      ...(beside === '' ? [] : [beside]),
                    ].join('; ')}
                  </Words>
                )}
              </View>
            );
          })}
        </View>
        {drained && (
          <View className="items-center">
            <SinkDrawing />
            <Words weight={700}>Poured off</Words>
          </View>
        )}
      </View>
    </View>
  );
}

/** "3 to 4 h", "10 min"; nothing where a step does not wait. */
function waitWords({ leastMinutes, mostMinutes }: RecipeStep): string {
  if (leastMinutes === undefined || mostMinutes === undefined) return '';
  const inHours = mostMinutes >= 120;
  const per = inHours ? 60 : 1;
  const [least, most] = [leastMinutes / per, mostMinutes / per].map((count) => Math.round(count * 10) / 10);
  return `${least === most ? most : `${least} to ${most}`} ${inHours ? 'h' : 'min'}`;
}

/** Two figures: what to make, and what the jars will likely take of it. */
function CoveringPart({ coverings }: { coverings: readonly Covering[] }) {
  const sum = (of: (each: Covering) => number) => coverings.reduce((all, each) => all + of(each), 0);
  const cups = (ml: number) => printMeasures(ml);
  return (
    <Words>
      Covering liquid: make <Words weight={800}>{cups(sum(({ makeMl }) => makeMl))}</Words>. These jars will likely take{' '}
      {cups(sum(({ likelyMl }) => likelyMl.p10))} to {cups(sum(({ likelyMl }) => likelyMl.p90))}. Fill to the headspace;
      should it run short, make the same mix again for the jars still dry.
    </Words>
  );
}
