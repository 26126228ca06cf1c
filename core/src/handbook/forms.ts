import { findProduce, type ProduceId } from './produce';
import { type Cited, COMMON_PRACTICE } from './source';

type Row = readonly [ProduceId, form: string, cupsPerLb: number, basis: string];

/** Cups of a prepared form from a pound as it came in. Several follow from a published recipe, said in `basis`. */
// One form a line, as the table is printed.
// prettier-ignore
const ROWS: readonly Row[] = [
  ['tomato-paste', 'chopped peeled', 2, 'common practice'],
  ['tomato-slicing', 'chopped peeled', 1.75, 'common practice'],
  ['tomato-paste', 'pulp or sauce base', 1.5, 'common practice'],
  ['tomatillo', 'chopped', 2.5, '5 cups from 2 lb'],
  ['cucumber-pickling', 'sliced', 3, 'common practice'],
  ['cucumber-pickling', 'finely chopped', 2.75, 'common practice'],
  ['onion', 'chopped', 2.75, '8 cups sliced from 3 lb'],
  ['pepper-sweet', 'chopped', 3, 'common practice'],
  ['pepper-hot', 'sliced rings', 4, 'common practice'],
  ['bean-snap', 'cut', 3.5, 'common practice'],
  ['beet', 'sliced cooked', 2.25, 'common practice'],
  ['carrot', 'sliced', 3, 'common practice'],
  ['cabbage', 'shredded', 4.5, 'common practice'],
  ['apple', 'sliced', 2.75, 'common practice'],
  ['apple', 'juice', 1.33, '4 cups from 3 lb'],
  ['pear', 'sliced', 2.5, 'common practice'],
  ['pear', 'chopped peeled cored', 1, '2 cups from 2 lb'],
  ['peach', 'sliced', 2.5, 'common practice'],
  ['peach', 'crushed', 1.25, '3.75 cups from 3 lb'],
  ['apricot', 'halved', 2.75, 'common practice'],
  ['apricot', 'crushed', 1.75, 'common practice'],
  ['plum', 'halved', 2.5, 'common practice'],
  ['plum', 'chopped pitted', 1.5, '6 cups from 4 lb'],
  ['damson', 'chopped pitted', 1.4, 'common practice; clingstone'],
  ['cherry-sour', 'pitted', 2.5, 'common practice'],
  ['grape', 'stemmed whole', 2.75, 'common practice'],
  ['grape', 'juice', 1.43, '5 cups from 3.5 lb'],
  ['strawberry', 'hulled whole', 3, 'common practice'],
  ['strawberry', 'crushed', 1.22, '5.5 cups from 3 quart boxes of 1.5 lb'],
  ['blueberry', 'whole', 2.75, 'common practice'],
  ['blueberry', 'crushed', 1.5, 'common practice'],
  ['blackberry', 'whole', 3, 'common practice'],
  ['blackberry', 'crushed', 1.5, 'common practice'],
  ['blackberry', 'juice', 0.67, '3.5 cups from 3.5 quarts of 1.5 lb'],
  ['raspberry', 'crushed', 1.5, 'common practice'],
  ['gooseberry', 'crushed', 1.5, 'common practice'],
  ['fig', 'quartered', 2.75, 'common practice'],
  ['fig', 'chopped', 1.6, '8 cups from 5 lb'],
  ['rhubarb', 'cut', 3.5, 'common practice'],
  ['quince', 'juice', 1.15, 'common practice'],
];

/** Forms that cards take and the printed table leaves out: common practice, kept apart so that the table stays as it is. */
const FURTHER_ROWS: readonly Row[] = [
  ['garlic', 'chopped', 3, 'common practice'],
  ['celery', 'chopped', 3.5, 'common practice'],
  ['cauliflower', 'florets', 2.5, 'common practice'],
  ['ginger', 'grated', 4.5, 'common practice'],
];

/** A formula that gives an ingredient in cups and in pounds says how they hang together. */
const FROM_A_FORMULA: Cited = { source: 'a published formula of the same crop', recalled: true };

export interface FormRow extends Cited {
  readonly crop: ProduceId;
  /** How it is cut or pressed: "crushed", "sliced", "juice". */
  readonly form: string;
  readonly cupsPerLb: number;
  readonly basis: string;
}

const CUPS_PER_QUART = 4;

export const PRINTED_FORMS: readonly FormRow[] = ROWS.map(formRow);

/**
 * Cups a pound of every form. Whole fruit that is sold by the quart box goes by the box's published weight: a quart is four
 * cups, whichever way it is told, so that cups, quarts and pounds of a crop agree.
 */
export const FORMS: readonly FormRow[] = [...PRINTED_FORMS, ...FURTHER_ROWS.map(formRow)].map((row) => {
  const box = findProduce(row.crop);
  return box?.quartBoxLb !== undefined && isWhole(row.form)
    ? {
        ...row,
        cupsPerLb: CUPS_PER_QUART / box.quartBoxLb,
        basis: 'the weight of a quart box',
        source: box.source,
        recalled: box.recalled,
      }
    : row;
});

function isWhole(form: string): boolean {
  return /\bwhole$/.test(form);
}

function formRow([crop, form, cupsPerLb, basis]: Row): FormRow {
  return {
    crop,
    form,
    cupsPerLb,
    basis,
    ...(basis.startsWith(COMMON_PRACTICE.source) ? COMMON_PRACTICE : FROM_A_FORMULA),
  };
}

/** The forms of a crop whose cups a pound are known. */
export function formsOf(crop: string): FormRow[] {
  return FORMS.filter((row) => row.crop === crop);
}
