import { cups } from '../../handbook/cards/cardAmount';
import { ML_PER_CUP } from '../../measure/amount';
import { readNumber } from '../../measure/readNumber';
import { type OwnLine, type OwnStep, type RecipePage } from './recipePage';

/** Juice that crushed fruit gives, millilitres a kilogram, where the page does not say. Common practice: about half. */
const JUICE_ML_PER_KG = 550;

const GATES = ['measure-juice', 'measure-pulp', 'crush-measure'];

/** Whether a page has a step at which what was really got is measured. */
export function hasGate(steps: readonly Pick<OwnStep, 'entry'>[]): boolean {
  return steps.some(({ entry }) => GATES.includes(entry ?? ''));
}

/**
 * What is measured, and how much of it a batch gives: as the page says ("you should have 4 cups"), else the liquid that was
 * poured on before, else about half of the fruit.
 */
export function measuredIn(
  lines: readonly OwnLine[],
  steps: readonly OwnStep[],
  text: string,
): RecipePage['measured'] | undefined {
  const gate = steps.findIndex(({ entry }) => GATES.includes(entry ?? ''));
  const step = steps[gate];
  if (!step) return undefined;
  const as = /vinegar/i.test(step.text) ? 'vinegar' : step.entry === 'measure-juice' ? 'juice' : 'fruit';
  const said =
    /(?:should (?:have|get|be)|there (?:will|should) be|have|measure(?: out)?) (?:about )?(\d[\d /]*|\d? ?[½¼¾]) ?(?:c\b|cups?)/i.exec(
      text,
    )?.[1];
  const read = said === undefined ? undefined : readNumber(said);
  if (read?.kind === 'number' && read.value > 0) return { cups: read.value, as };
  const before = new Set(steps.slice(0, gate).map(({ id }) => id));
  const poured = lines.filter(({ into, then, role }) => before.has(into) && then === 'jar' && LIQUIDS.includes(role));
  const ml = poured.reduce((sum, { amount }) => sum + (amount.of === 'ml' ? amount.high : 0), 0);
  const fruit = lines.filter(({ role, then }) => then === 'jar' && (role === 'acid-food' || role === 'low-acid'));
  const juice = fruit.reduce((sum, { amount }) => sum + ofFruit(amount), 0);
  const all = as === 'fruit' ? juice * 1.5 : ml > 0 ? ml : juice;
  return all > 0 ? { cups: Math.max(0.25, Math.round((4 * all) / ML_PER_CUP) / 4), as } : undefined;
}

const LIQUIDS: readonly OwnLine['role'][] = ['vinegar', 'water', 'lemon', 'other'];

function ofFruit(amount: OwnLine['amount']): number {
  if (amount.of === 'kg') return amount.high * JUICE_ML_PER_KG;
  return amount.of === 'ml' ? amount.high / 2 : 0;
}

const EQUAL =
  /\b(?:equal|same) (?:amount|volume|measure|quantity|weight)\b|\bas much sugar as\b|\bcup for cup\b|^equal\b/i;

/** "Sugar, the same amount": as many cups as were measured. */
export function withEqualSugar(line: OwnLine, measuredCups: number): OwnLine {
  if (line.role !== 'sugar' || line.amount.of !== 'words' || !EQUAL.test(line.text)) return line;
  const { open: _, ...settled } = line;
  return { ...settled, amount: cups(measuredCups), prep: 'as much as was measured' };
}
