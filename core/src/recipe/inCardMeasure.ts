import { type CardLine, type Role } from '../handbook/cards/card';
import { formsOf } from '../handbook/forms';
import { lbPerPiece } from '../handbook/produce';
import { KG_PER_LB, ML_PER_CUP } from '../measure/amount';
import { type WrittenAmount, type WrittenLine } from './ingredientLine';

/** Kilograms a litre of what is weighed by some and measured by others. Common practice: a cup of sugar weighs 200 g, of canning salt 285 g, of starch 130 g. */
const KG_PER_LITRE: Partial<Record<Role, number>> = {
  sugar: 0.2 / 0.236_588,
  salt: 0.285 / 0.236_588,
  thickener: 0.13 / 0.236_588,
  vinegar: 1.01,
  lemon: 1.03,
  water: 1,
  oil: 0.92,
  'acid-food': 1.04,
};

/**
 * A written amount in the measure of the card's line it is held against: pounds of onions told in cups, grams of sugar in
 * millilitres. What the card gives in two measures goes by those, produce by the one table of forms, the rest by weight.
 *
 * @returns undefined where nothing known leads from one to the other
 */
export function inCardMeasure(written: WrittenLine, card: CardLine): WrittenAmount | undefined {
  const { amount: own } = written;
  const { amount: tested } = card;
  if (!own || tested.of === 'words') return undefined;
  if (own.of === tested.of) return own;
  if (written.also?.of === tested.of) return written.also;
  const beside = [card.about, card.aboutPieces].find((other) => other?.of === own.of);
  if (beside) return times(own, tested.of, tested.high / beside.high);
  const ratio = perUnit(own.of, tested.of, card);
  return ratio === undefined ? undefined : times(own, tested.of, ratio);
}

function times({ low, high }: WrittenAmount, of: WrittenAmount['of'], factor: number): WrittenAmount {
  return { of, low: low * factor, high: high * factor };
}

function perUnit(from: WrittenAmount['of'], to: WrittenAmount['of'], card: CardLine): number | undefined {
  const kg = (of: WrittenAmount['of']): number | undefined =>
    of === 'kg' ? 1 : of === 'ml' ? kgPerMl(card) : kgPerPiece(card);
  const [a, b] = [kg(from), kg(to)];
  return a === undefined || b === undefined ? undefined : a / b;
}

function kgPerMl(card: CardLine): number | undefined {
  const said = `${card.as ?? ''} ${card.prep ?? ''}`;
  for (const crop of card.crops) {
    const forms = formsOf(crop);
    const form = forms.find(({ form: name }) => name.split(' ').some((word) => said.includes(word))) ?? forms[0];
    if (form) return KG_PER_LB / (form.cupsPerLb * ML_PER_CUP);
  }
  const litre = KG_PER_LITRE[card.role];
  return litre === undefined ? undefined : litre / 1_000;
}

function kgPerPiece(card: CardLine): number | undefined {
  const lb = card.crops.map(lbPerPiece).find((each) => each !== undefined);
  return lb === undefined ? undefined : lb * KG_PER_LB;
}
