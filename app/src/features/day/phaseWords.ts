import { type LoadPhase } from '@hoddle/core/kitchen/loadState';

/** A load's state in a word or two. */
export const PHASE_WORDS: Readonly<Record<LoadPhase, string>> = {
  planned: 'To come',
  heating: 'Heating',
  boiling: 'At the boil',
  resting: 'Resting 5 min',
  cooling: 'Cooling 12-24 h',
  checked: 'Lids checked',
};
