import { type Method } from '@hoddle/core/process/method';

/** A method's name on a key. */
export const METHOD_NAMES: Readonly<Record<Method, string>> = {
  'boiling-water': 'boiling water',
  steam: 'steam',
  'pressure-dial': 'pressure, dial gauge',
  'pressure-weighted': 'pressure, weight',
  'low-temperature-bath': 'low-heat bath',
};
