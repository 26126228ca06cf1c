import { type Card, type CardLine } from '../handbook/cards/card';
import { UNIT_SIZES } from '../handbook/cards/cardAmount';
import { printMeasures } from '../measure/cookMeasure';
import { printFraction } from '../measure/fraction';
import { type JarSize, JARS } from '../handbook/jars';
import { measureWords, type Measure } from './kitchenMeasure';

/** A card in one line: its kind, and what goes in, what is poured off said so. */
export function cardWords(card: Card): string {
  const lines = card.ingredients.map((line) => `${lineWords(line)}${line.then === 'drained' ? ' (poured off)' : ''}`);
  return `${card.kind === '' ? '' : `${card.kind}: `}${lines.join('; ')}`;
}

/** One line as the page prints it: "1 1/2 quarts vinegar 5%", "1 Tbsp bottled lemon juice per pint, 2 Tbsp per quart". */
export function lineWords(line: CardLine): string {
  const as = line.as === undefined ? '' : ` ${line.as}`;
  if (line.perJar) {
    const doses = (Object.entries(line.perJar) as [JarSize | 'any', CardLine['amount']][]).map(
      ([jar, amount]) => `${amountWords(amount)} per ${jar === 'any' ? 'jar' : JARS[jar].one}`,
    );
    return `${line.item}, ${doses.join(', ')}${line.optional ? ' (optional)' : ''}`;
  }
  return `${amountWords(line.amount)}${as} ${line.item}${rateWords(line)}${aboutWords(line)}${line.optional ? ' (optional)' : ''}`;
}

/** The same amount in another measure, as the page gives it beside: " (about 3 quarts)". */
function aboutWords({ about }: CardLine): string {
  return about === undefined ? '' : ` (about ${amountWords(about)})`;
}

function rateWords({ perQuartOf, perPot }: CardLine): string {
  if (perPot) return ' a pot';
  return perQuartOf === undefined ? '' : ` a quart of ${perQuartOf}`;
}

/** An amount in the unit and with the range of its page. */
export function amountWords(amount: CardLine['amount']): string {
  if (amount.of === 'words') return amount.words;
  const { of, low, high, unit, word } = amount;
  const { size } = UNIT_SIZES[unit];
  if (low !== high)
    return `${low === 0 ? 'up to ' : `${printFraction(low / size)} to `}${unitWords(high / size, unit)}`;
  if (of === 'ml' && (unit === 'cup' || unit === 'tbsp' || unit === 'tsp')) return printMeasures(high, { exact: true });
  if (of === 'pieces')
    return measureWords({ of, value: high, unit, ...(word !== undefined && { word }) } satisfies Measure);
  return unitWords(high / size, unit);
}

function unitWords(count: number, unit: string): string {
  const names: Record<string, string> = {
    cup: 'cups',
    quart: 'quarts',
    pint: 'pints',
    gallon: 'gallons',
    tbsp: 'Tbsp',
  };
  const several = names[unit] ?? unit;
  return unit === 'piece'
    ? printFraction(count)
    : `${printFraction(count)} ${count > 1 ? several : unit === 'tbsp' ? 'Tbsp' : unit}`;
}
