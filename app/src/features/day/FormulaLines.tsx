import { type Batch, jarsOf, massKgOf } from '@hoddle/core/day/batch';
import { countJars, isJarSize } from '@hoddle/core/handbook/jars';
import { productRow } from '@hoddle/core/handbook/products';
import { roundToMeasures, printMeasures } from '@hoddle/core/measure/cookMeasure';
import { brineFor } from '@hoddle/core/supplies/brineFor';
import { estimateJars } from '@hoddle/core/yields/estimateJars';
import { useLearned } from '@/features/yields/useLearned';
import { Line } from './ReadyLists';
import { useFormulaOf } from './useFormulaOf';

/** What a formula wants at hand before the produce is cut: each pot as it is written, and the brine for all jars. */
export function FormulaLines({ batch }: { batch: Batch }) {
  const learned = useLearned();
  const product = productRow(batch.product);
  const { crop, formula } = useFormulaOf(batch);
  if (!formula) return null;
  const estimate = crop && estimateJars(crop, massKgOf(batch), batch.product, batch.jar, learned);
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
