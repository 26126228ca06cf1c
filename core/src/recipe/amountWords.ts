import { type AmountLine } from './recipeFor';
import { measureWords } from './kitchenMeasure';
import { prepWords } from './prepWords';
import { JARS } from '../handbook/jars';

/** One amount in words: how much, of what, and what is said beside it. */
export interface AmountWords {
  readonly key: string;
  readonly amount: string;
  readonly item: string;
  /** How it is cut, that it may be left out, what may be taken instead. */
  readonly beside: string;
}

/**
 * The words of a line, in the household's units.
 *
 * @param of what one pot takes, what all take together, or what goes into each jar
 */
export function amountWordsOf(line: AmountLine, units: 'us' | 'metric', of: 'pot' | 'all'): AmountWords {
  const { line: own, all, each, perJar, instead } = line;
  // "to cover: water" is no measure of it.
  const words = (measure: AmountLine['all']) =>
    measureWords(measure, units, own.role) + (measure.of === 'words' ? ':' : '');
  const others = instead.map((other) => {
    const dose = other.perJar?.[0]?.dose ?? (of === 'pot' ? (other.each ?? other.all) : other.all);
    return `or ${measureWords(dose, units, other.line.role)} ${other.line.item}`;
  });
  const amount = perJar
    ? [
        ...new Set(
          perJar.map(({ jar, dose }) => (perJar.length > 1 ? `${words(dose)} a ${JARS[jar].one}` : words(dose))),
        ),
      ].join(', ')
    : words(of === 'pot' ? (each ?? all) : all);
  // Cups of juice are no cups of berries: what is measured stands beside its name, not in small print.
  const isSaid = own.as === undefined || `${own.item} ${own.prep ?? ''}`.includes(own.as);
  const item = isSaid ? own.item : `${own.item}, ${own.as}`;
  const beside = [
    ...prepWords(own).filter((part) => others.length === 0 || !part.startsWith('or ')),
    ...(own.optional ? ['may be left out'] : []),
    ...others,
  ];
  return { key: own.item + own.into, amount, item, beside: beside.join('; ') };
}
