import { type CannerMethod } from '@hoddle/core/canner/canner';

/** What a canner is, as its sign says. */
export const METHOD_NAMES: Readonly<Record<CannerMethod, string>> = {
  'boiling-water': 'Boiling water',
  steam: 'Steam',
  'pressure-dial': 'Pressure, dial gauge',
  'pressure-weighted': 'Pressure, weighted gauge',
};
