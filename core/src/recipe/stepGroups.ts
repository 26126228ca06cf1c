import { type Card } from '../handbook/cards/card';
import { isProduce } from './cardCrops';
import { type AmountLine } from './recipeFor';
import { type RecipeStep } from './recipeSteps';

/** What goes in at one step of a recipe. */
export interface StepGroup {
  readonly step: RecipeStep;
  readonly lines: readonly AmountLine[];
  /** What is poured off after it: it is in no pot. */
  readonly drained: boolean;
  readonly perJar: boolean;
}

export interface StepGroups {
  /** What is picked or bought fresh, as it is weighed. */
  readonly produce: readonly AmountLine[];
  readonly steps: readonly StepGroup[];
}

/** A recipe's lines by the step they go into, what is weighed as produce in front; steps without an amount are left out. */
export function stepGroups(lines: readonly AmountLine[], steps: readonly RecipeStep[]): StepGroups {
  // A clove in each jar stands with what goes into the jars.
  const isWeighed = ({ line, perJar }: AmountLine) => isProduce(line) && !perJar;
  const produce = lines.filter(isWeighed);
  const others = lines.filter((each) => !isWeighed(each));
  const parts = steps.flatMap((step): StepGroup[] =>
    [true, false].flatMap((drained): StepGroup[] => {
      const own = others.filter(({ line }) => line.into === step.step && (line.then === 'drained') === drained);
      const jars = own.filter(({ perJar }) => perJar);
      const pots = own.filter(({ perJar }) => !perJar);
      return [
        ...(pots.length > 0 ? [{ step, lines: pots, drained, perJar: false }] : []),
        ...(jars.length > 0 ? [{ step, lines: jars, drained, perJar: true }] : []),
      ];
    }),
  );
  return { produce, steps: parts };
}

/** What goes into a step of the kitchen; at the step where the jars are closed also what goes into every jar then. */
export function linesOfStep(lines: readonly AmountLine[], entry: string): readonly AmountLine[] {
  // A step that comes a second time has taken its ingredients the first time.
  if (entry.includes('#')) return [];
  const [step = entry] = entry.split(':');
  const steps = step === 'close' ? ['close', 'fill'] : [step];
  return lines.filter(({ line }) => steps.includes(line.into));
}

/** Measured so, it is no longer what is washed and cut: that goes by the pounds that the step itself names. */
const MEASURED_LATER = /juice|pulp|crushed/;

/** The produce that a step works on, where nothing else goes in: what is washed, peeled or chopped by now. */
export function produceOfStep(lines: readonly AmountLine[], card: Card, entry: string): readonly AmountLine[] {
  const [step = '', crop] = entry.split(/[#:]/);
  const produce = lines.filter(
    ({ line }) => isProduce(line) && line.crops.length > 0 && !MEASURED_LATER.test(line.as ?? ''),
  );
  if (crop !== undefined && entry.includes(':'))
    return produce.filter(({ line }) => line.crops.includes(crop as never));
  const of = card.steps.find((own) => own.step === step)?.of;
  if (of) return produce.filter(({ line }) => line.crops.some((each) => of.includes(each)));
  return step.startsWith('wash') ? produce : [];
}
