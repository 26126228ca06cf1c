import { type Card, type CardStep } from '../handbook/cards/card';
import { stepOf } from '../handbook/steps';

/** A step of a recipe as it is done. */
export interface RecipeStep {
  readonly step: string;
  readonly words: string;
  /** The crops it works on. */
  readonly of: readonly string[];
  readonly leastMinutes?: number;
  readonly mostMinutes?: number;
  readonly optional: boolean;
}

/** From this tested time on clean hot jars do. Handbook rule 4. */
const CLEAN_JARS_FROM_MINUTES = 10;

/** The steps of a card in the order done: jars are boiled only where the tested time asks for sterile ones, or is not known. */
export function stepsFor({ steps }: Card, { processMinutes = 0 }: { readonly processMinutes?: number }): RecipeStep[] {
  return steps
    .filter(({ sterile }) => !sterile || processMinutes < CLEAN_JARS_FROM_MINUTES)
    .map((step) => ({
      step: step.step,
      words: stepOf(step.step).plainWords,
      of: step.of ?? [],
      ...minutesOf(step),
      optional: step.optional ?? false,
    }));
}

function minutesOf({ step, minutes }: CardStep): Pick<RecipeStep, 'leastMinutes' | 'mostMinutes'> {
  const [least, most] = minutes ?? stepOf(step).waitMinutes;
  return most > 0 ? { leastMinutes: least, mostMinutes: most } : {};
}
