import { type Method } from '@hoddle/core/process/method';

/** A method's name on a key. */
export const METHOD_NAMES: Readonly<Record<Method, string>> = {
  'boiling-water': 'boiling water',
  steam: 'steam',
  'pressure-dial': 'pressure, dial gauge',
  'pressure-weighted': 'pressure, weight',
  'low-temperature-bath': 'low-heat bath',
};

/** The canner alone, where a line has little room: both gauges are pressure. */
export const SHORT_NAMES: Readonly<Record<Method, string>> = {
  'boiling-water': 'boiling water',
  steam: 'steam',
  'pressure-dial': 'pressure',
  'pressure-weighted': 'pressure',
  'low-temperature-bath': 'low-heat bath',
};
