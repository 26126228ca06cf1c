import { isPressure } from '@hoddle/core/canner/canner';
import { type LoadPhase } from '@hoddle/core/kitchen/loadState';
import { isCold, type Way } from '@hoddle/core/process/method';

const WORDS: Readonly<Record<LoadPhase, string>> = {
  planned: 'To come',
  heating: 'Heating',
  venting: 'Venting 10 min',
  boiling: 'At the boil',
  resting: 'Resting 5 min',
  cooling: 'Cooling 12-24 h',
  checked: 'Lids checked',
};

/** A load's state in a word or two. */
export function phaseWords(phase: LoadPhase, method: Way): string {
  if (isCold(method))
    return phase === 'planned' ? 'To come' : method === 'freezer' ? 'In the freezer' : 'In the refrigerator';
  if (phase === 'resting' && isPressure(method)) return 'Coming down';
  if (phase !== 'boiling' || method === 'boiling-water') return WORDS[phase];
  if (isPressure(method)) return 'At pressure';
  return method === 'steam' ? 'In steam' : 'In the bath';
}
