import { type Card, type CardLine, type CardStep } from '../../handbook/cards/card';
import { cups } from '../../handbook/cards/cardAmount';
import { ownCardId, ownProductId, ownStepId } from '../../handbook/ownIds';
import { COMMON_PRACTICE } from '../../handbook/source';
import { stepOf, type StepRow } from '../../handbook/steps';
import { cropsNamed } from './placeLines';
import { type Filling, type OwnLine, type OwnStep, type RecipePage } from './recipePage';

/** From here on a jar is filled; every card ends in one of these. */
const INTO_JARS = ['raw-pack', 'pack-hot', 'fill'];

export interface CardOfPage {
  readonly card: Card;
  /** Its steps in own words, by their entry. */
  readonly steps: ReadonlyMap<string, StepRow>;
}

/**
 * The card of a page: what the handbook's cards are, of the household's own. Steps in own words have rows of their own; a
 * page that does not say so is filled, closed and cooled as any other.
 *
 * @param filling one of several that the covering liquid goes over: its own lines, its own name
 * @param from where it is from, as a line on a screen
 */
export function cardOfPage(page: RecipePage, from: string, filling?: Filling): CardOfPage {
  const { id, revision, name, yields, measured } = page;
  const entries = entriesOf(page);
  const steps = new Map<string, StepRow>();
  const cardSteps = page.steps.map((step): CardStep => {
    const entry = entries.get(step.id) ?? 'fill';
    if (entry.startsWith('own:')) steps.set(entry, rowOf(entry, step));
    const of = cropsNamed(step.text, page.lines);
    return {
      step: entry,
      ...(of && { of }),
      ...(step.wait && { minutes: step.wait }),
      ...(step.optional && { optional: true as const }),
      ...(step.after && { after: step.after.flatMap((before) => entries.get(before) ?? []) }),
    };
  });
  const isFilled = cardSteps.some(({ step }) => INTO_JARS.includes(step));
  const isClosed = cardSteps.some(({ step }) => step === 'fill' || step === 'close');
  const ended = isFilled && isClosed ? cardSteps : [...cardSteps, { step: 'fill' }];
  const lines = page.lines.filter((line) => line.filling === undefined || line.filling === filling?.id);
  const last = ended.find(({ step }) => INTO_JARS.includes(step))?.step ?? 'fill';
  const card: Card = {
    card: ownCardId(id, revision, filling?.id),
    product: ownProductId(id),
    kind: filling?.name ?? '',
    name: filling?.name ?? name,
    from,
    yields: filling ? { low: filling.jars, high: filling.jars, jar: yields.jar } : yields,
    ...(measured && { measured: { amount: cups(measured.cups), as: measured.as } }),
    ingredients: lines.map((line) => cardLine(line, entries.get(line.into) ?? last)),
    steps: ended,
    instead: [],
    confidence: 'high',
  };
  return { card, steps };
}

/**
 * Steps that more hangs on than minutes: what covers jars, what is measured, what sets, what ferments. They keep the
 * handbook's name, and its hands.
 */
const MEANT =
  /^(?:raw-pack|pack-hot|fill|close|acid|boil-brine|measure-|crush-measure|boil-to-set|boil-1-hard|cook-down|ferment)/;

/** Whether a step is the handbook's in all but its wait, whatever else is told of it. */
export function keepsHandbookStep({ entry }: Pick<OwnStep, 'entry'>): boolean {
  return entry !== undefined && MEANT.test(entry);
}

/** Each step's entry: the handbook's where it is one and stands there once, else one of its own. */
function entriesOf({ id, revision, steps }: RecipePage): ReadonlyMap<string, string> {
  const seen = new Set<string>();
  return new Map(
    steps.map((step): [string, string] => {
      const { entry, occupies, hands, remind } = step;
      const isTold = occupies.length > 0 || hands !== undefined || remind !== undefined;
      if (entry === undefined || seen.has(entry) || (isTold && !keepsHandbookStep(step))) {
        return [step.id, ownStepId(id, revision, step.id)];
      }
      seen.add(entry);
      return [step.id, entry];
    }),
  );
}

/** Hands that a step in own words takes where nothing is told. Common practice. */
const SOME_HANDS = [3, 8] as const;
/** In their place a wait on the stove: the same words a handbook's step has. */
const HOT = ['burner', 'oven', 'grill', 'slow cooker'];

/** A step in own words as a row of the table of steps: its figures are the household's, and else those of the step it varies. */
function rowOf(entry: string, own: OwnStep): StepRow {
  const { text, occupies, remind } = own;
  const base = own.entry === undefined ? undefined : stepOf(own.entry);
  const resources = occupies.map((name) => (name === 'pot' ? 'big pot' : name));
  const holding = occupies.includes('refrigerator')
    ? 'refrigerated'
    : occupies.some((name) => HOT.includes(name))
      ? 'hot'
      : (base?.row.holding ?? '');
  return {
    step: entry,
    words: plainWords(text),
    handsPerLb: own.hands ? [0, 0] : (base?.row.handsPerLb ?? [0, 0]),
    fixedMinutes: own.hands ?? base?.row.fixedMinutes ?? SOME_HANDS,
    waitMinutes: own.wait ?? base?.waitMinutes ?? [0, 0],
    resources: occupies.length > 0 ? ['hands', ...resources] : (base?.row.resources ?? ['hands']),
    holding,
    note: remind ? `${remind.words} every ${remind.everyMinutes} min` : (base?.row.note ?? ''),
    ...COMMON_PRACTICE,
  };
}

function cardLine(
  { item, amount, about, role, crops, as, prep, optional, then, weak }: OwnLine,
  into: string,
): CardLine {
  // A dose is for each jar there is, whatever its size: what the page says of one size is never carried to another.
  const perJar = then === 'per-jar' ? { perJar: { any: amount } } : {};
  return {
    item,
    amount,
    ...(about && { about }),
    // Weaker than 5 % it thins what it is poured into.
    role: role === 'vinegar' && weak ? 'water' : role,
    crops,
    ...(as !== undefined && { as }),
    ...(prep !== undefined && { prep }),
    ...(optional && { optional }),
    ...perJar,
    into,
    then,
  };
}

/** Without what ties it to the sentence before. */
function plainWords(text: string): string {
  const plain = text.replace(/^(?:meanwhile|in the meantime|at the same time|then|next),?\s+/i, '');
  return plain.charAt(0).toUpperCase() + plain.slice(1);
}
