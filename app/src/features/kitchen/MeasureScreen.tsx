import { type Batch, type PlannedLoad } from '@hoddle/core/day/batch';
import { countJars, isJarSize } from '@hoddle/core/handbook/jars';
import { measuredIngredient } from '@hoddle/core/handbook/measuredIngredient';
import { productRow } from '@hoddle/core/handbook/products';
import { type RecipeRow } from '@hoddle/core/handbook/recipes';
import { withChange } from '@hoddle/core/kitchen/dayChange';
import { gateLoads, jarsFor } from '@hoddle/core/kitchen/gateLoads';
import { printFraction } from '@hoddle/core/measure/fraction';
import { type Gate, measureGate } from '@hoddle/core/supplies/measureGate';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { ingredientWords } from '@/features/bench/scale/ingredientWords';
import { type Day, type LiveDay, useDay } from '@/features/day/useDay';
import { useFormulaOf } from '@/features/day/useFormulaOf';
import { useHousehold } from '@/store/useHousehold';
import { Words } from '@/ui/Words';
import { isLater } from './ChangeScreen';
import { KitchenFrame } from './KitchenFrame';
import { KitchenKey } from './KitchenKey';
import { useCapacity } from './LoadsChange';
import { NumberPad } from './NumberPad';
import { OfferPart } from './OfferPart';
import { type DayTold, useTellDay } from './useTellDay';

/** The measure gate: what was really got, and what it makes of sugar, pectin, jars, loads and the rest of the day. */
export function MeasureScreen({ taskId }: { taskId: string }) {
  const day = useDay();
  const task = day?.live?.running.tasks.find(({ id }) => id === taskId);
  const batch = day?.batches.find(({ id }) => id === task?.batchId);
  return (
    <KitchenFrame back={{ words: 'To all canners', to: '/kitchen' }} likelyAt={day?.likelyAt} lateAt={day?.lateAt}>
      {day?.live && task && batch ? (
        <Measure
          day={day}
          live={day.live}
          batch={batch}
          taskId={taskId}
          own={batch.loads.find(({ id }) => id === task.loadId)}
        />
      ) : (
        <Words size="head" weight={700} tone="milk" className="px-4">
          There is nothing to measure now.
        </Words>
      )}
    </KitchenFrame>
  );
}

interface MeasureProps {
  day: Day;
  live: LiveDay;
  batch: Batch;
  taskId: string;
  /** The load it is measured for; all of the batch that have not gone in where it is done once. */
  own?: PlannedLoad;
}

function Measure({ day, live, batch, taskId, own }: MeasureProps) {
  const router = useRouter();
  const tell = useTellDay(day.id);
  const { household } = useHousehold();
  const { formula } = useFormulaOf(batch);
  const product = productRow(batch.product);
  const main = formula && measuredIngredient(formula);
  const later = batch.loads.filter((load) => isLater(load, day));
  const meant = own ? [own] : later;
  const jarsMeant = meant.reduce((sum, { jars }) => sum + jars, 0);
  const [amount, setAmount] = useState(() => Math.round((main?.perBatch ?? 4) * 2) / 2);
  const [offered, setOffered] = useState<readonly PlannedLoad[]>();
  const capacity = useCapacity(batch, day, meant);
  const gate = formula && amount > 0 ? measureGate(product, formula, amount) : undefined;
  const jars = jarsOfGate(gate, formula, batch) ?? jarsMeant;
  const unit = main?.unit === 'lb' ? 'lb' : 'cups';
  const told: DayTold[] = [
    { type: 'measured', batchId: batch.id, taskId, amount },
    { type: 'step-done', taskId },
  ];
  const end = () => router.navigate('/kitchen');
  if (offered) {
    const change = { kind: 'loads', batchId: batch.id, loads: offered } as const;
    const words = `${printFraction(amount, 4)} ${unit}: ${countJars(jars, batch.jar)} instead of ${jarsMeant}`;
    return (
      <OfferPart
        day={day}
        live={live}
        words={words}
        change={change}
        asked={withChange(live.rest, change, household.kitchen.cooks)}
        before={told}
        onRefuse={() => setOffered(undefined)}
        onTaken={end}
      />
    );
  }
  const last = Math.max(0, ...batch.loads.map(({ number }) => number));
  const others = later.filter((load) => !meant.includes(load));
  const next = () => {
    if (jars === jarsMeant) {
      told.forEach(tell);
      return end();
    }
    setOffered([...gateLoads(meant, jars, capacity, last, uuidV7), ...others]);
  };
  return (
    <View className="w-full max-w-[640px] gap-4 px-4 pb-8">
      <Words size="head" weight={700} tone="milk">
        {product.name}: how much is really there?
      </Words>
      <NumberPad
        label={main ? `Measured ${main.ingredient.food}` : 'Measured'}
        value={amount}
        unit={unit}
        step={unit === 'lb' ? 0.25 : 0.5}
        onChange={setAmount}
      />
      {gate?.kind === 'make' && (
        <View role="status" className="gap-1">
          <Words size="lead" weight={700} tone="milk">
            {gate.batches === 1 ? 'Into the pot' : `Into each of ${gate.batches} pots, side by side`}
          </Words>
          {gate.ingredients.map((ingredient) => (
            <Words key={ingredient.ingredient.text} size="lead" tone="milk">
              {ingredientWords(ingredient)}
            </Words>
          ))}
          <Words size="lead" weight={700} tone="milk">
            Gives {countJars(jars, batch.jar)}; {jarsMeant} were planned.
          </Words>
          {gate.left > 0.02 && (
            <Words size="lead" tone="milk-2">
              {printFraction(gate.left, 4)} {unit} stay over for another day.
            </Words>
          )}
        </View>
      )}
      {gate?.kind === 'wait' && (
        <Words role="alert" size="lead" weight={700} tone="milk">
          {printFraction(gate.missing, 4)} {unit} missing: a box of pectin sets one whole batch. It waits in the
          refrigerator or the freezer until there is enough.
        </Words>
      )}
      {gate?.kind === 'wait' ? (
        <KitchenKey look="milk" words="Let it wait: drop it for today" onPress={() => setOffered(others)} />
      ) : (
        <KitchenKey
          look="milk"
          words={jars === jarsMeant ? 'As planned: go on' : 'See what it changes'}
          disabled={amount <= 0}
          onPress={next}
        />
      )}
    </View>
  );
}

/** Whole jars of the batch's size, in the middle of what the formula gives. */
function jarsOfGate(gate: Gate | undefined, formula: RecipeRow | undefined, batch: Batch): number | undefined {
  if (gate?.kind === 'wait') return 0;
  if (!gate?.jars || !formula || !isJarSize(formula.yieldJar)) return undefined;
  return Math.max(1, jarsFor((gate.jars.low + gate.jars.high) / 2, formula.yieldJar, batch.jar));
}
