import { type Batch, jarsOf } from '@hoddle/core/day/batch';
import { countJars, isJarSize } from '@hoddle/core/handbook/jars';
import { productRow } from '@hoddle/core/handbook/products';
import { formulasOf } from '@hoddle/core/handbook/recipes';
import { roundToMeasures, printMeasures } from '@hoddle/core/measure/cookMeasure';
import { brineFor } from '@hoddle/core/supplies/brineFor';
import { estimateJars } from '@hoddle/core/yields/estimateJars';
import { formulaForCrop } from '@hoddle/core/yields/formulaNeeds';
import { useLearned } from '@/features/yields/useLearned';
import { useHousehold } from '@/store/useHousehold';
import { Line } from './ReadyLists';

/** What a formula wants at hand before the produce is cut: each pot as it is written, and the brine for all jars. */
export function FormulaLines({ batch }: { batch: Batch }) {
  const { picks } = useHousehold();
  const learned = useLearned();
  const product = productRow(batch.product);
  const crop = picks.find(({ id }) => id === batch.uses[0]?.pickId)?.crop;
  const formula = (crop && formulaForCrop(product, crop)?.formula) ?? formulasOf(batch.product)[0];
  if (!formula) return null;
  const massKg = batch.uses.reduce((sum, use) => sum + use.massKg, 0);
  const estimate = crop && estimateJars(crop, massKg, batch.product, batch.jar, learned);
  const pots = estimate?.kind === 'estimate' ? estimate.pots : undefined;
  const jars = jarsOf(batch);
  const brine = brineFor(product, batch.jar, jars);
  return (
    <>
      <Line>
        {pots !== undefined && pots > 1 ? `${pots} pots, each` : 'The formula'}
        {formula.yields && isJarSize(formula.yieldJar)
          ? `, for ${countJars(formula.yields.high, formula.yieldJar)}`
          : ''}
        : {formula.mainInputs}.
      </Line>
      {brine && (
        <Line>
          Brine for {countJars(jars, batch.jar)}: {printMeasures(brine.vinegarMl, { up: true })} vinegar of 5 %
          {brine.waterMl > 0 ? `, ${printMeasures(roundToMeasures(brine.waterMl, { down: true }))} water` : ''}
          {brine.sugarMl > 0 ? `, ${printMeasures(brine.sugarMl)} sugar` : ''}.
        </Line>
      )}
    </>
  );
}
