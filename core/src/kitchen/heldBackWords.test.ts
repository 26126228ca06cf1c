import { type DayTask } from '../day/dayProblem';
import { heldBackWords, openStepWords } from './heldBackWords';

const task = { words: 'Soak 12 h' } as DayTask;

test('what is left is told in hours, rounded up and never shorter, and says whether it was tested', () => {
  expect(heldBackWords({ kind: 'left', task, leftMin: 699.2, part: 'soak' })).toBe(
    '“Soak 12 h” is not over, 11 h 40 min left: its time is part of what was tested.',
  );
  expect(heldBackWords({ kind: 'left', task, leftMin: 0.2 })).toMatch(/1 min left: its time is part of the recipe/);
  expect(heldBackWords({ kind: 'left', task, leftMin: 120 })).toMatch(/2 h left/);
});

test('of several that come first the one that was tested is told; what is looked at has no time', () => {
  const open = [
    { task: { words: 'Peel' } as DayTask, why: 'untold' },
    { task: { words: 'Reheat' } as DayTask, why: 'untold', part: 'heat' },
  ] as const;
  expect(heldBackWords({ kind: 'before', open })).toBe('“Reheat” comes first: it is part of what was tested.');
  expect(openStepWords({ task, why: 'runs' })).toMatch(/is looked at first/);
  expect(openStepWords({ task, why: 'cold', part: 'heat' })).toMatch(/over an hour ago: do it again/);
});
