import { type Unit } from './amount';
import { convertAmount } from './convertAmount';
import { readAmount } from './readAmount';

/**
 * An amount as it was typed, in a unit of its own or the one meant when none is named, told in another.
 *
 * @returns undefined for what is no amount, or of another kind: cups are no pounds
 */
export function readIn(typed: string, bare: Unit, into: Unit): number | undefined {
  const reading = readAmount(typed, bare);
  if (reading.kind === 'unreadable') return undefined;
  const converted = convertAmount(reading.amount, into);
  return converted.kind === 'converted' ? converted.value : undefined;
}
