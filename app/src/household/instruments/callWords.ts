import { type InstrumentsNow } from '@hoddle/contract/instrument';
import { isPressure } from '@hoddle/core/canner/canner';
import { type LoadPhase } from '@hoddle/core/kitchen/loadState';
import { type Way } from '@hoddle/core/process/method';
import { temperatureWords, type Units } from '@/ui/amountWords';
import { bathWords } from '@/ui/bathWords';

type Call = InstrumentsNow['calls'][number];

/** What an instrument calls for, and what is to be done about it. */
export function callWords({ kind, reads }: Pick<Call, 'kind' | 'reads'>, units: Units, at: CallAt): string {
  return CALL_WORDS[kind](temperatureWords(reads, units), bathWords(units), at);
}

/** Where a load is when it is called for. */
interface CallAt {
  readonly phase: LoadPhase;
  readonly method: Way;
}

const CALL_WORDS: Readonly<
  Record<Call['kind'], (read: string, bath: ReturnType<typeof bathWords>, at: CallAt) => string>
> = {
  'water-ready': () => 'The water is warm enough: jars may go in.',
  'boil-found': (_, { low }, { method }) =>
    method === 'low-temperature-bath'
      ? `At ${low}, by the probe. Look at a thermometer, then tap.`
      : isPressure(method)
        ? 'At its pressure, by the gauge. Look at it, then tap.'
        : 'It boils, by the probe. Look into the pot, then tap.',
  'boil-lost': (read) => `It boils no more: ${read} and falling. Look into the pot.`,
  'too-cool': (read, { both }) => `The bath is too cool: ${read}. ${both} the whole time.`,
  'too-hot': (read, _, { phase }) =>
    phase === 'planned' ? `${read}: too hot for these jars. Cold water first.` : `The bath is too hot: ${read}.`,
  'under-pressure': () => 'Pressure is under the mark: bring it back, and the time starts again.',
  elsewhere: (read) => `${read} cannot be in this pot: is the probe in another one?`,
};
