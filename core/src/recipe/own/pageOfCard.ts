import { type Card, type CardLine } from '../../handbook/cards/card';
import { stepOf } from '../../handbook/steps';
import { ML_PER_CUP } from '../../measure/amount';
import { lineWords } from '../cardWords';
import { recipeName } from '../recipeName';
import { type DraftPage } from './readRecipe';
import { type OwnLine } from './recipePage';

/**
 * A card as a page of the household's own, to change it: its tested time stays with the card. What a card knows and a page
 * has no place for, as groups of which one is taken, is told in the line's words.
 */
export function pageOfCard(card: Card): DraftPage {
  const { ingredients, steps, yields, measured } = card;
  const ids = new Map(steps.map(({ step }, i) => [step, `s${i + 1}`] as const));
  return {
    name: card.name ?? recipeName({ product: card.product, recipe: card.card }),
    draft: true,
    lines: ingredients.map((line, i) => ownLine(line, `l${i + 1}`, ids.get(line.into) ?? '')),
    steps: steps
      .filter(({ sterile }) => !sterile)
      .map(({ step, minutes, optional }) => ({
        id: ids.get(step) ?? '',
        text: stepOf(step).plainWords,
        entry: step,
        ...(minutes && { wait: minutes }),
        occupies: [],
        ...(optional && { optional }),
      })),
    unread: [],
    processing: [],
    yields: yields ?? { low: 1, high: 1, jar: 'pint' },
    pack: steps.some(({ step }) => step === 'raw-pack') ? 'raw' : 'hot',
    headspaceIn: 0.5,
    ...(measured?.amount.of === 'ml' && { measured: { cups: measured.amount.high / ML_PER_CUP, as: measured.as } }),
    readyDays: [0, 0],
    fillings: [],
  };
}

function ownLine(line: CardLine, id: string, into: string): OwnLine {
  const { item, amount, about, role, crops, as, prep, optional, then, oneOf } = line;
  return {
    id,
    text: lineWords(line),
    item,
    amount,
    ...(about && { about }),
    role,
    crops,
    ...(as !== undefined && { as }),
    ...(prep !== undefined && { prep }),
    // Of a group one is taken: which, is for the cook to say.
    ...((optional ?? oneOf !== undefined) && { optional: true as const }),
    into,
    then,
  };
}
