import { JARS, type JarSize } from '../../handbook/jars';
import { printFraction } from '../../measure/fraction';
import { type TestedRow } from '../../process/testedRow';

/** What goes into every jar: "In every quart 2 Tbsp bottled lemon juice, or 1/2 tsp citric acid; 1/2 in headspace." */
export function doseWords({ acid, headspaceIn }: Pick<TestedRow, 'acid' | 'headspaceIn'>, jar: JarSize): string {
  const headspace = `leave ${printFraction(headspaceIn)} in headspace`;
  if (!acid) return `In every ${JARS[jar].one}: ${headspace}.`;
  const ways = [
    `${printFraction(acid.bottledLemonJuiceTbsp)} Tbsp bottled lemon juice`,
    ...(acid.citricAcidTsp === undefined ? [] : [`or ${printFraction(acid.citricAcidTsp)} tsp citric acid`]),
    ...(acid.vinegarTbsp === undefined ? [] : [`or ${printFraction(acid.vinegarTbsp)} Tbsp vinegar of 5 %`]),
  ];
  return `In every ${JARS[jar].one}: ${ways.join(', ')}; ${headspace}.`;
}
