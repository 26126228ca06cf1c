import { type Card } from '@hoddle/core/handbook/cards/card';
import { findProduct, type ProductRow } from '@hoddle/core/handbook/products';
import { ML_PER_CUP } from '@hoddle/core/measure/amount';
import { printMeasures } from '@hoddle/core/measure/cookMeasure';
import { printFraction } from '@hoddle/core/measure/fraction';
import { printSpan } from '@hoddle/core/measure/span';
import { recipesOf } from '@hoddle/core/recipe/cardColumns';
import { measuredPart } from '@hoddle/core/recipe/cardCrops';
import { recipeName } from '@hoddle/core/recipe/recipeName';
import { potWords } from '@hoddle/core/measure/volumeWords';
import { fullestMoment, potLevels } from '@hoddle/core/recipe/fullestMoment';
import { type Gate, measureGate } from '@hoddle/core/supplies/measureGate';
import { View } from 'react-native';
import { RecipeSheet } from '@/household/recipe/RecipeSheet';
import { sheetOf } from '@/household/recipe/sheetOf';
import { useUnits } from '@/store/useUnits';
import { Choice } from '@/ui/Choice';
import { FigureField } from '@/ui/FigureField';
import { typedAfter } from '@/ui/Keypad';
import { Words } from '@/ui/Words';
import { amountWordsOf } from '@hoddle/core/recipe/amountWords';
import { AnswerPlate } from '../instrument/AnswerPlate';
import { CitedLine } from '../instrument/CitedLine';
import { Instrument } from '../instrument/Instrument';
import { OneOf } from '@/ui/OneOf';
import { readMeasure } from '../instrument/readCount';
import { Slip } from '@/ui/Slip';
import { useRemembered } from '@/ui/useRemembered';
import { PotWithRule } from './PotWithRule';

/** The measure gate: the cups that were really got, and everything else of the formula worked out for them. */
export function ScaleScreen({ product: id }: { product: string }) {
  const product = findProduct(id);
  const cards = product ? recipesOf(product.product).filter((card) => measuredPart(card)) : [];
  if (!product || cards.length === 0) {
    return (
      <Instrument title="Scale a batch" note={product?.name} backTo="/bench/scale">
        <Words>
          {product ? 'It has no formula to scale: the food alone, by the jar.' : 'The handbook does not have it.'}
        </Words>
      </Instrument>
    );
  }
  return <Scale product={product} cards={cards} />;
}

function Scale({ product, cards }: { product: ProductRow; cards: readonly Card[] }) {
  const { values, change } = useRemembered(`scale ${product.product}`, {
    card: '',
    way: 'got',
    got: '',
    times: '2',
  });
  const card = cards.find((each) => each.card === values.card) ?? cards[0];
  const main = card && measuredPart(card);
  const field = values.way === 'times' ? 'times' : 'got';
  const unitWords = main?.unit === 'lb' ? 'lb' : 'cups';
  const typed = readMeasure(values[field], field === 'times' ? 'batches' : unitWords, 400);
  if (!card || !main) return null;
  const measured = typed.kind === 'count' ? typed.value * (field === 'times' ? main.perBatch : 1) : 0;
  const gate = measured > 0 ? measureGate(card, measured) : undefined;
  return (
    <Instrument
      title="Scale a batch"
      note={product.name}
      backTo="/bench/scale"
      glance={gate && glanceOf(gate)}
      onKey={(key) => change({ [field]: typedAfter(values[field], key) })}
    >
      {cards.length > 1 && (
        <OneOf
          label="Recipe"
          options={cards.map((each) => ({ value: each.card, words: kindWords(each) }))}
          value={card.card}
          onChoose={(next) => change({ card: next })}
        />
      )}
      <Choice
        label="How it is said"
        value={field}
        onChoose={(way) => change({ way })}
        options={[
          { value: 'got', words: `the ${unitWords} I got` },
          { value: 'times', words: 'so many batches' },
        ]}
      />
      <Words>
        One batch takes{' '}
        <Words weight={700}>
          {inUnit(main.perBatch, main.unit)} {main.words}
        </Words>
        .
      </Words>
      <View className="flex-row">
        <FigureField
          label={field === 'times' ? 'Batches' : main.words}
          typed={values[field]}
          unitWords={field === 'times' ? 'times' : unitWords}
          active
          large
          wrong={typed.kind === 'slip'}
          onFocus={() => undefined}
          onChange={(text) => change({ [field]: text })}
        />
      </View>
      {typed.kind === 'slip' && <Slip sentence={typed.sentence} />}
      {gate && <GateAnswer gate={gate} product={product} card={card} />}
    </Instrument>
  );
}

function glanceOf(gate: Gate): string {
  if (gate.kind === 'wait') return 'Not enough for a batch: wait';
  const { pots, factor, jars } = gate;
  const said =
    pots === 1 ? `${printFraction(factor)} of the recipe` : `${pots} pots, ${printFraction(factor)} of the recipe each`;
  return jars ? `${said}: ${printSpan(jars)} jars` : said;
}

function kindWords({ product, card, kind }: Card): string {
  const words = kind === '' ? recipeName({ product, recipe: card }) : kind;
  return words.replace(/^./, (letter) => letter.toUpperCase());
}

function inUnit(amount: number, unit: 'cup' | 'lb'): string {
  return unit === 'lb' ? `${printFraction(amount, 4)} lb` : printMeasures(amount * ML_PER_CUP);
}

interface GateAnswerProps {
  gate: Gate;
  product: ProductRow;
  card: Card;
}

function GateAnswer({ gate, product, card }: GateAnswerProps) {
  const units = useUnits();
  const { unit } = gate.measured;
  if (gate.kind === 'wait') {
    return (
      <AnswerPlate text={`Not enough for a batch: ${inUnit(gate.missing, unit)} missing.`}>
        <Words size="head" weight={800}>
          Wait: {inUnit(gate.missing, unit)} missing
        </Words>
        <Words>
          A box of pectin sets one whole batch. Freeze what is there until there is enough, or make jam without added
          pectin.
        </Words>
      </AnswerPlate>
    );
  }
  const { pots, factor, amounts, jars, left } = gate;
  const fullest = fullestMoment(potLevels(amounts.card, amounts.lines));
  const told = amounts.lines.map((line) => {
    const { amount, item } = amountWordsOf(line, units, 'all');
    return `${amount} ${item}${line.line.then === 'drained' ? ', poured off' : ''}`;
  });
  const jar = card.yields?.jar ?? 'quart';
  return (
    <AnswerPlate text={`${recipeName({ product: product.product, recipe: card.card })}: ${told.join('; ')}.`}>
      <View className="flex-row items-start gap-4">
        <PotWithRule fill={factor} batches={pots} />
        <View className="flex-1 gap-1">
          <Words size="lead" weight={700}>
            {pots === 1 ? `${printFraction(factor)} of the recipe` : `${pots} pots, ${printFraction(factor)} in each`}
          </Words>
          {jars && (
            <Words>
              Gives <Words weight={800}>{printSpan(jars)}</Words> {jar} jars{pots > 1 ? ' in all' : ''}.
            </Words>
          )}
          {fullest && (
            <Words>
              A pot of {potWords(fullest.ml, units)} at its fullest
              {fullest.climbs ? ', since jam climbs as it boils' : ''}.
              {pots > 1 ? ' Side by side, never in one pot.' : ''}
            </Words>
          )}
        </View>
      </View>
      <RecipeSheet content={sheetOf(amounts)} jar={jar} />
      {left > 0.02 && <Words>{inUnit(left, unit)} stay over for another day.</Words>}
      <CitedLine card={card} />
    </AnswerPlate>
  );
}
