import { planSpring } from '@hoddle/core/season/spring/planSpring';
import { type SpringProblem } from '@hoddle/core/season/spring/springProblem';

/** Tells how much to set in the coming spring. */
export function tellSpring({ question }: { readonly question: SpringProblem }): void {
  self.postMessage(planSpring(question));
}
