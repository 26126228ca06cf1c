import { isStep } from '../handbook/steps';
import { handbookRole } from '../recipe/own/handbookRole';
import { neverDone } from '../recipe/own/neverDone';
import { type OwnRecipe } from './ownRecipe';
import { judgeRecipe } from './ownShelf';

export interface RecipeFault {
  /** Which part of the page: `lines.3`, `steps.2.after`, `source.bands`. */
  readonly field: string;
  readonly reason: string;
}

/**
 * What of a page may not be, part by part. A draft may hold anything but what no page can: steps that wait for themselves, or
 * a crop that is made sourer than the handbook has it.
 */
export function recipeFaults(recipe: OwnRecipe): RecipeFault[] {
  const faults = [...partFaults(recipe)];
  if (recipe.draft) return faults;
  if (recipe.name.trim() === '') faults.push({ field: 'name', reason: 'It needs a name.' });
  if (recipe.lines.length === 0) faults.push({ field: 'lines', reason: 'There is nothing in it yet.' });
  for (const [i, { text }] of recipe.steps.entries()) {
    const reason = neverDone(text);
    if (reason !== undefined) faults.push({ field: `steps.${i}.text`, reason });
  }
  if (faults.length > 0 || !recipe.source) return faults;
  const { faults: shelf = [] } = judgeRecipe(recipe);
  return shelf.map(({ field, reason }) => ({ field: IN_SOURCE.includes(field) ? `source.${field}` : field, reason }));
}

const IN_SOURCE = ['kind', 'title', 'page', 'method', 'bands', 'jar'];

function* partFaults({ lines, steps, fillings }: OwnRecipe): Generator<RecipeFault> {
  const ids = steps.map(({ id }) => id);
  for (const [i, { crops, role, into, filling }] of lines.entries()) {
    const low = crops.find((crop) => handbookRole(crop) === 'low-acid');
    if (low !== undefined && role === 'acid-food') {
      yield {
        field: `lines.${i}.role`,
        reason: 'It is low in acid by the handbook, and that is never raised by hand.',
      };
    }
    if (into !== '' && !ids.includes(into)) yield { field: `lines.${i}.into`, reason: 'There is no such step.' };
    if (filling !== undefined && !fillings.some(({ id }) => id === filling)) {
      yield { field: `lines.${i}.filling`, reason: 'There is no such filling.' };
    }
  }
  for (const [i, { id, after = [], entry }] of steps.entries()) {
    if (ids.indexOf(id) !== i) yield { field: `steps.${i}.id`, reason: 'Two steps have one id.' };
    if (after.some((before) => !ids.slice(0, i).includes(before))) {
      yield { field: `steps.${i}.after`, reason: 'A step waits only for steps before it.' };
    }
    if (entry !== undefined && !isStep(entry))
      yield { field: `steps.${i}.entry`, reason: 'The handbook has no such step.' };
  }
}
