import { findProduct, type ProductRow } from '@hoddle/core/handbook/products';
import { formulasOf, type RecipeRow } from '@hoddle/core/handbook/recipes';
import { ML_PER_CUP } from '@hoddle/core/measure/amount';
import { printMeasures } from '@hoddle/core/measure/cookMeasure';
import { printFraction } from '@hoddle/core/measure/fraction';
import { printSpan } from '@hoddle/core/measure/span';
import { inKitchenFractions, readFormula } from '@hoddle/core/handbook/formula';
import { type Gate, measureGate, potCups } from '@hoddle/core/supplies/measureGate';
import { measuredIngredient } from '@hoddle/core/handbook/measuredIngredient';
import { View } from 'react-native';
import { Choice } from '@/ui/Choice';
import { FigureField } from '@/ui/FigureField';
import { typedAfter } from '@/ui/Keypad';
import { Words } from '@/ui/Words';
import { AnswerPlate } from '../instrument/AnswerPlate';
import { Instrument } from '../instrument/Instrument';
import { OneOf } from '../instrument/OneOf';
import { readMeasure } from '../instrument/readCount';
import { Slip } from '../instrument/Slip';
import { useRemembered } from '../instrument/useRemembered';
import { ingredientWords } from './ingredientWords';
import { PotWithRule } from './PotWithRule';

/** The measure gate: the cups that were really got, and everything else of the formula worked out for them. */
export function ScaleScreen({ product: id }: { product: string }) {
  const product = findProduct(id);
  const formulas = product ? formulasOf(product.product).filter((formula) => measuredIngredient(formula)) : [];
  if (!product || formulas.length === 0) {
    return (
      <Instrument title="Scale a batch" note={product?.name} backTo="/bench/scale">
        <Words>
          {product ? 'It has no formula to scale: the food alone, by the jar.' : 'The handbook does not have it.'}
        </Words>
      </Instrument>
    );
  }
  return <Scale product={product} formulas={formulas} />;
}

function Scale({ product, formulas }: { product: ProductRow; formulas: readonly RecipeRow[] }) {
  const { values, change } = useRemembered(`scale ${product.product}`, {
    formula: '0',
    way: 'got',
    got: '',
    times: '2',
  });
  const formula = formulas[Number(values.formula)] ?? formulas[0];
  const main = formula && measuredIngredient(formula);
  const field = values.way === 'times' ? 'times' : 'got';
  const unitWords = main?.unit === 'lb' ? 'lb' : 'cups';
  const typed = readMeasure(values[field], field === 'times' ? 'batches' : unitWords, 400);
  if (!formula || !main) return null;
  const measured = typed.kind === 'count' ? typed.value * (field === 'times' ? main.perBatch : 1) : 0;
  const gate = measured > 0 ? measureGate(product, formula, measured) : undefined;
  return (
    <Instrument
      title="Scale a batch"
      note={product.name}
      backTo="/bench/scale"
      glance={gate && glanceOf(gate)}
      onKey={(key) => change({ [field]: typedAfter(values[field], key) })}
    >
      {formulas.length > 1 && (
        <OneOf
          label="Formula"
          options={formulas.map((one, i) => ({ value: String(i), words: kindWords(one, i) }))}
          value={values.formula}
          onChoose={(next) => change({ formula: next })}
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
        One batch takes <Words weight={700}>{inKitchenFractions(main.ingredient.text)}</Words>.
      </Words>
      <View className="flex-row">
        <FigureField
          label={field === 'times' ? 'Batches' : main.ingredient.food}
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
      {gate && <GateAnswer gate={gate} product={product} formula={formula} unit={main.unit} />}
    </Instrument>
  );
}

function glanceOf(gate: Gate): string {
  if (gate.kind === 'wait') return 'Not enough for a batch: wait';
  const { batches, factor, jars } = gate;
  const pots =
    batches === 1
      ? `${printFraction(factor)} of the formula`
      : `${batches} pots, ${printFraction(factor)} of the formula each`;
  return jars ? `${pots}: ${printSpan(jars)} jars` : pots;
}

function kindWords({ mainInputs }: RecipeRow, i: number): string {
  return (readFormula(mainInputs).kind || `formula ${i + 1}`).replace(/^./, (letter) => letter.toUpperCase());
}

interface GateAnswerProps {
  gate: Gate;
  product: ProductRow;
  formula: RecipeRow;
  unit: 'cup' | 'lb';
}

function GateAnswer({ gate, product, formula, unit }: GateAnswerProps) {
  const inWords = (amount: number) =>
    unit === 'lb' ? `${printFraction(amount, 4)} lb` : printMeasures(amount * ML_PER_CUP);
  if (gate.kind === 'wait') {
    return (
      <AnswerPlate text={`Not enough for a batch: ${inWords(gate.missing)} missing.`}>
        <Words size="head" weight={800}>
          Wait: {inWords(gate.missing)} missing
        </Words>
        <Words>
          A box of pectin sets one whole batch. Freeze what is there until there is enough, or make jam without added
          pectin.
        </Words>
      </AnswerPlate>
    );
  }
  const { batches, factor, ingredients, jars, left } = gate;
  const pot = Math.ceil(potCups(product, ingredients) / 4);
  const lines = ingredients.map(ingredientWords);
  const each = batches === 1 ? 'Into the pot' : `Into each of ${batches} pots`;
  return (
    <AnswerPlate text={`${product.name}, ${each.toLowerCase()}: ${lines.join('; ')}.`}>
      <View className="flex-row items-start gap-4">
        <PotWithRule fill={factor} batches={batches} />
        <View className="flex-1 gap-1">
          <Words size="lead" weight={700}>
            {each}
          </Words>
          {lines.map((line) => (
            <Words key={line}>{line}</Words>
          ))}
        </View>
      </View>
      {jars && (
        <Words>
          Gives <Words weight={800}>{printSpan(jars)}</Words> {formula.yieldJar} jars{batches > 1 ? ' in all' : ''}.
        </Words>
      )}
      <Words>
        A pot of {pot} quarts at its fullest{product.productClass === 'spread' ? ', since jam climbs as it boils' : ''}.
        {batches > 1 ? ' Side by side, never in one pot.' : ''}
      </Words>
      {left > 0.02 && <Words>{inWords(left)} stay over for another day.</Words>}
      <Words size="label" tone="ink-2">
        {formula.source}, as recalled.
      </Words>
    </AnswerPlate>
  );
}
