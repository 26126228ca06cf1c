import { type ProductId } from '../handbook/products';

/** What is taken off a pot while it cooks, to become a product of its own. */
export const POT_OUTPUTS = ['thin-juice'] as const;
export type PotOutput = (typeof POT_OUTPUTS)[number];

/** What a product of the handbook gives besides its jars, and what becomes of that. */
export interface OutputRule {
  readonly kind: PotOutput;
  readonly words: string;
  /** The products that give it. */
  readonly of: readonly ProductId[];
  /** The step it is taken off at, and the one of its card that this comes before. */
  readonly step: string;
  readonly before: string;
  /** The tested product it becomes, by that one's own time and acid, and the step of its card that it begins with. */
  readonly feeds: ProductId;
  readonly beginsAt: string;
}

/**
 * Thin juice stands over tomatoes that were heated and have fallen apart: it is ladled off through a strainer before the rest
 * goes through the mill, and cooks down no further. Common practice; its jars are tomato juice by the tested table.
 */
const RULES: readonly OutputRule[] = [
  {
    kind: 'thin-juice',
    words: 'thin juice',
    of: ['tomato-sauce-thin', 'tomato-sauce-thick'],
    step: 'ladle-off',
    before: 'food-mill',
    feeds: 'tomato-juice',
    beginsAt: 'reheat',
  },
];

/** What a product gives besides its jars, taken off while it cooks; none for most. */
export function outputsOf(product: ProductId): readonly OutputRule[] {
  return RULES.filter(({ of }) => of.includes(product));
}

/** The rule of one output. */
export function outputRule(kind: PotOutput): OutputRule {
  const rule = RULES.find((each) => each.kind === kind);
  if (!rule) throw new RangeError(`no rule for the output ${JSON.stringify(kind)}`);
  return rule;
}

/** The output that is taken off at a step; undefined for any other step. */
export function outputAt(step: string): PotOutput | undefined {
  return RULES.find((rule) => rule.step === step)?.kind;
}
