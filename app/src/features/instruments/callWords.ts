import { type InstrumentsNow } from '@hoddle/contract/instrument';
import { type LoadPhase } from '@hoddle/core/kitchen/loadState';
import { degreesWords } from '@hoddle/core/measure/degreesWords';
import { BATH_F } from '@hoddle/core/process/findProcess';
import { temperatureWords, type Units } from '@/ui/amountWords';

type Call = InstrumentsNow['calls'][number];

/** What an instrument calls for, and what is to be done about it. */
export function callWords({ kind, reads }: Pick<Call, 'kind' | 'reads'>, units: Units, phase: LoadPhase): string {
  return CALL_WORDS[kind](temperatureWords(reads, units), units, phase);
}

const CALL_WORDS: Readonly<Record<Call['kind'], (read: string, units: Units, phase: LoadPhase) => string>> = {
  'water-ready': () => 'The water is warm enough: jars may go in.',
  'boil-found': () => 'It boils, by the probe. Look into the pot, then tap.',
  'boil-lost': (read) => `It boils no more: ${read} and falling. Look into the pot.`,
  'too-cool': (read, units) =>
    `The bath is too cool: ${read}. ${degreesWords(BATH_F.low, units)} to ${degreesWords(BATH_F.high, units)} the whole time.`,
  'too-hot': (read, _, phase) =>
    phase === 'planned' ? `${read}: too hot for these jars. Cold water first.` : `The bath is too hot: ${read}.`,
  'under-pressure': () => 'Pressure is under the mark: bring it back, and the time starts again.',
  elsewhere: (read) => `${read} cannot be in this pot: is the probe in another one?`,
};
