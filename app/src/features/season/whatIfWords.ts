import { JARS } from '@hoddle/core/handbook/jars';
import { productRow } from '@hoddle/core/handbook/products';
import { type SeasonReport } from '@hoddle/core/season/report/seasonReport';

/** Goals that come out otherwise, in a line each: "Crushed tomatoes: 28 quarts instead of 34". */
export function batchGoalWords(plan: SeasonReport, other: SeasonReport): string[] {
  return plan.goals.flatMap(({ product, jar, planned }) => {
    const now = other.goals.find((goal) => goal.product === product && goal.jar === jar)?.planned ?? 0;
    if (now === planned) return [];
    return [`${productRow(product).name}: ${now} ${JARS[jar].several} instead of ${planned}`];
  });
}
