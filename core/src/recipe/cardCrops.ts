import { type Card, type CardLine } from '../handbook/cards/card';
import { type CropId } from '../handbook/crops';
import { type FormRow, formsOf } from '../handbook/forms';
import { findProduce, lbPerPiece } from '../handbook/produce';
import { productRow } from '../handbook/products';
import { KG_PER_LB, ML_PER_CUP } from '../measure/amount';

/** Whether a line is produce: what a card's acid is reckoned against. */
export function isProduce({ role }: CardLine): boolean {
  return role === 'acid-food' || role === 'low-acid';
}

/** What one batch of a card takes of one line's crop. */
export interface CropNeed {
  readonly line: CardLine;
  readonly crop: CropId;
  /** As picked; undefined where its measure has no published weight. */
  readonly kgPerBatch?: number;
}

/** The produce a card is named for and measured by: of its lines that are not optional the first of a crop the product leads with. */
export function mainLine(card: Card): CardLine | undefined {
  if (!MAIN.has(card)) {
    const leads = productRow(card.product).crops.map(([first]) => first);
    const lines = card.ingredients.filter(
      (line) => isProduce(line) && line.crops.length > 0 && !line.optional && line.then !== 'drained',
    );
    MAIN.set(card, lines.find(({ crops }) => crops.some((crop) => leads.includes(crop))) ?? lines[0]);
  }
  return MAIN.get(card);
}

const MAIN = new WeakMap<Card, CardLine | undefined>();

/** What a cook measures of a card: fruit or juice by the cup, whole vegetables by the pound. */
export interface MeasuredPart {
  /** "strawberries, crushed". */
  readonly words: string;
  readonly unit: 'cup' | 'lb';
  /** How many of the unit one batch takes. */
  readonly perBatch: number;
}

/** The part of a card that is measured before anything else is worked out; undefined where nothing with a figure is. */
export function measuredPart(card: Card): MeasuredPart | undefined {
  const main = mainLine(card);
  const amount = card.measured?.amount ?? main?.amount;
  if (!main || !amount || amount.of === 'words' || amount.of === 'pieces') return undefined;
  const as = card.measured?.as ?? main.as;
  // Which berries may be taken is no part of what is measured.
  const item = main.item.replace(/ \(.*\)/, '');
  const words = as === undefined ? item : `${item}, ${as}`;
  return amount.of === 'ml'
    ? { words: card.measured ? card.measured.as : words, unit: 'cup', perBatch: amount.high / ML_PER_CUP }
    : { words, unit: 'lb', perBatch: amount.high / KG_PER_LB };
}

/** Whether a card is made of this crop first of all, picked in that state. */
export function leadsWith(card: Card, crop: CropId, state: 'green' | 'ripe' = 'ripe'): boolean {
  const main = mainLine(card);
  return main !== undefined && main.crops.includes(crop) && (main.state ?? 'ripe') === state;
}

/**
 * Every crop that a card takes when it is made of `main`, the main one first. A line that names several takes the crop a
 * household has told of, else its first; of a group one line counts.
 *
 * @param prefer which of several crops of a line is there
 */
export function cropNeeds(card: Card, main: CropId, prefer: (crop: CropId) => boolean = () => false): CropNeed[] {
  const first = mainLine(card);
  const groups = new Set<string>();
  return card.ingredients.flatMap((line): CropNeed[] => {
    if (line.crops.length === 0 || line.then === 'drained' || !isGrown(line)) return [];
    if (line.oneOf !== undefined) {
      if (groups.has(line.oneOf)) return [];
      groups.add(line.oneOf);
    }
    const crop = line === first ? main : (line.crops.find(prefer) ?? (line.crops[0] as CropId));
    const kgPerBatch = kgAsPicked(line, crop, card);
    return [{ line, crop, ...(kgPerBatch !== undefined && { kgPerBatch }) }];
  });
}

/** Produce, and herbs and roots that are picked though they only flavour. */
function isGrown(line: CardLine): boolean {
  return isProduce(line) || line.role === 'spice';
}

/**
 * Kilograms as picked that a line takes of a crop for one batch: by its weight, by the weight the page gives beside it, or
 * by the cups or pieces of its form, of the one table of forms.
 */
export function kgAsPicked(line: CardLine, crop: CropId, card?: Card): number | undefined {
  const { amount, about, aboutPieces } = line;
  // A page's "about 4 lb" is of the crop it names first; another that it allows goes by its own form.
  const isFirst = line.crops.length < 2 || crop === line.crops[0];
  if (about?.of === 'kg' && (isFirst || amount.of !== 'ml' || !formOf(line, crop, card))) return about.high;
  if (amount.of === 'kg') return amount.high / preparedPart(line, crop);
  const boxes = about?.of === 'ml' ? about : isByTheBox(line) ? amount : undefined;
  const whole = boxes?.of === 'ml' ? kgOfWhole(boxes.high, crop) : undefined;
  if (whole !== undefined) return whole;
  if (aboutPieces) return aboutPieces.high * (lbPerPiece(crop) ?? 0) * KG_PER_LB || undefined;
  const perJars = line.then === 'per-jar' ? (line.inAll ?? undefined) : amount;
  if (perJars === undefined || perJars.of === 'words') return undefined;
  if (perJars.of === 'kg') return perJars.high;
  if (perJars.of === 'pieces') {
    const lb = lbPerPiece(crop);
    return lb === undefined ? undefined : perJars.high * lb * KG_PER_LB;
  }
  const cupsPerLb = formOf(line, crop, card)?.cupsPerLb;
  return cupsPerLb === undefined ? undefined : (perJars.high / ML_PER_CUP / cupsPerLb) * KG_PER_LB;
}

/** "2 3/4 lb peeled" is weighed after trimming. */
function preparedPart({ as = '' }: CardLine, crop: CropId): number {
  return /peeled|cubes/.test(as) ? 1 - (findProduce(crop)?.trimLoss ?? 0) : 1;
}

/** "2 1/2 pints blueberries": boxes of whole fruit, whatever is done with it then. */
function isByTheBox({ amount, as }: CardLine): boolean {
  return as === undefined && amount.of === 'ml' && (amount.unit === 'pint' || amount.unit === 'quart');
}

function kgOfWhole(ml: number, crop: CropId): number | undefined {
  const whole = formsOf(crop).find(({ form }) => /whole$/.test(form));
  return whole && (ml / ML_PER_CUP / whole.cupsPerLb) * KG_PER_LB;
}

/** Words of a line, and the form whose cups they are; the closer ones first. */
const PRESSED: readonly [RegExp, RegExp][] = [
  [/juice/i, /^juice/],
  [/crush|mash|pulp/i, /^crushed/],
];
const FORM_WORDS: readonly [RegExp, RegExp][] = [
  [/pitted/i, /pitted/],
  [/shred|cabbage/i, /^shredded/],
  [/slice/i, /^sliced/],
  [/grated/i, /^grated/],
  [/chop|dice|cut/i, /chopped|^cut/],
  [/whole|capped|blanched 6 cups/i, /whole$/],
];

function formOf(line: CardLine, crop: CropId, card?: Card): FormRow | undefined {
  const forms = formsOf(crop);
  // A juice or a crushed fruit goes by no other form.
  for (const [words, wanted] of PRESSED) {
    if (line.as !== undefined && words.test(line.as)) return forms.find((row) => wanted.test(row.form));
  }
  const said = `${line.as ?? ''} ${line.prep ?? ''} ${card?.steps.some(({ step }) => step === 'pit') ? 'pitted' : ''}`;
  for (const [words, wanted] of FORM_WORDS) {
    const form = words.test(said) ? forms.find((row) => wanted.test(row.form)) : undefined;
    if (form) return form;
  }
  return forms.find(({ form }) => /^(chopped|sliced|cut|whole|hulled whole)/.test(form)) ?? forms[0];
}
