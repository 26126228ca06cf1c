import { HANDS, type ScheduledTask } from './dayProblem';
import { handsThere } from './dayResources';
import { type KitchenLife } from './errandTasks';

const EPSILON = 1e-6;

/**
 * Who could do each step that takes hands, so that nobody has two at once or is called from the goats: whoever a step names, else
 * who did the last step of the same batch, else who is free for longest. A step that nobody is there for the whole of (one begun
 * when another left) is told nobody's.
 *
 * Method: colouring of intervals by their start, which needs no more colours than overlap (Kleinberg and Tardos, Algorithm
 * Design, 4.1).
 *
 * @param life the kitchen and its cooks, with the minute of the day that is minute 0 of the tasks
 * @returns the cook's name by the task's id; steps without hands are not in it
 */
export function whoDoes(tasks: readonly ScheduledTask[], life: KitchenLife): Map<string, string> {
  const there = handsThere(life);
  const freeAt = new Map([...there.keys()].map((name) => [name, -Infinity]));
  const lastOf = new Map<string | undefined, string>();
  const who = new Map<string, string>();
  const withHands = tasks.filter(({ task }) => (task.needs[HANDS] ?? 0) > 0 || task.cook !== undefined);
  const inOrder = [...withHands].sort((a, b) => a.startMin - b.startMin || b.endMin - a.endMin);
  // Their own errands are theirs beforehand: nothing is given them that reaches into one.
  const isKept = (name: string, from: number, to: number) =>
    inOrder.some(
      ({ task, startMin, endMin }) => task.cook === name && startMin < to - EPSILON && from < endMin - EPSILON,
    );
  for (const { task, startMin, endMin } of inOrder) {
    const free = (name: string) => freeAt.get(name) ?? Infinity;
    const can = [...there.keys()].filter(
      (name) =>
        free(name) <= startMin + EPSILON && there.get(name)?.(startMin, endMin) && !isKept(name, startMin, endMin),
    );
    const last = lastOf.get(task.batchId);
    const idle = [...can].sort((a, b) => free(a) - free(b))[0];
    const cook = task.cook ?? (last !== undefined && can.includes(last) ? last : idle);
    if (cook === undefined) continue;
    who.set(task.id, cook);
    freeAt.set(cook, endMin);
    lastOf.set(task.batchId, cook);
  }
  return who;
}
