import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { temperatureWords, type Units } from '@/ui/amountWords';
import { type InstrumentNow } from './useInstruments';

/** "12.35 lb", "5.602 kg": as fine as the scale tells. */
export function weightWords(grams: number, stepGrams: number, units: Units): string {
  const [value, step, unit] =
    units === 'metric'
      ? [grams / 1_000, stepGrams / 1_000, 'kg']
      : [grams / 1_000 / KG_PER_LB, stepGrams / 1_000 / KG_PER_LB, 'lb'];
  return `${figure(value, step)} ${unit}`;
}

/** The figure alone, to be put into a field. */
export function weightFigure(grams: number, stepGrams: number, unit: 'kg' | 'lb'): string {
  const per = unit === 'kg' ? 1_000 : 1_000 * KG_PER_LB;
  return figure(grams / per, stepGrams / per);
}

function figure(value: number, step: number): string {
  const digits = Math.min(3, Math.max(0, Math.ceil(-Math.log10(step) - 1e-9)));
  return value.toFixed(digits).replace(/\.?0+$/, '') || '0';
}

/** What an instrument tells now, in the household's units. */
export function readingWords(
  { kind, last, step }: Pick<InstrumentNow, 'kind' | 'last' | 'step'>,
  units: Units,
): string {
  if (!last) return 'nothing yet';
  switch (kind) {
    case 'kitchen-scale':
    case 'hanging-scale':
      return weightWords(last.value, step, units);
    case 'probe':
      return temperatureWords(last.value, units);
    case 'pressure-gauge':
      return `${last.value.toFixed(1)} psi`;
    case 'jar-counter':
      return `${Math.round(last.value)} jars`;
  }
}

export const KIND_WORDS: Readonly<Record<InstrumentNow['kind'], string>> = {
  'kitchen-scale': 'Kitchen scale',
  'hanging-scale': 'Hanging scale',
  probe: 'Probe',
  'pressure-gauge': 'Pressure gauge',
  'jar-counter': 'Counter of jars',
};

/** What was set aside, and why, in words. */
export const SET_ASIDE_WORDS: Readonly<Record<string, string>> = {
  unannounced: 'told before it said what it is',
  'wrong-unit': 'in a unit of another kind',
  'wrong-step': 'with a step that is none',
  'cannot-be': 'that cannot be',
  'out-of-order': 'older than what was told before',
  'too-many': 'too many at once',
  'another-kind': 'as another kind of instrument',
};
