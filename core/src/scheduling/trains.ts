import { type CompiledProblem, type CompiledResource } from './compiledProblem';

/**
 * Tasks that follow each other on a resource so closely that no other can come between: they have it as one, so that only whole
 * trains are put in order.
 */
export interface Train {
  /** In their order. */
  readonly tasks: readonly number[];
  /** Least minutes from the start of its first task to the end of its last. */
  readonly length: number;
}

/** The users of a resource in trains. Where more than one fits beside another each task is a train of its own. */
export function trainsOf(problem: CompiledProblem, resource: CompiledResource): Train[] {
  const tasks = [...new Set(resource.users.map(({ task }) => task))];
  const single = tasks.map((task): Train => ({ tasks: [task], length: problem.minutes[task] }));
  if (resource.capacity !== 1) return single;
  const uses = new Map(tasks.map((task) => [task, usesOf(resource, task)]));
  const isOn = new Set(tasks);
  // Both or neither are on the resource: what holds for one holds for the other.
  const links = problem.lags.filter(
    ({ from, to, when, most, least }) =>
      when === 0 && least >= 0 && most < Infinity && isOn.has(from) && isOn.has(to) && uses.get(from) === uses.get(to),
  );
  let trains = single;
  for (;;) {
    const of = new Map(trains.flatMap((train) => train.tasks.map((task) => [task, train] as const)));
    const joined = links.find(({ from, to, most }) => {
      const [a, b] = [of.get(from) as Train, of.get(to) as Train];
      if (a === b || a.tasks.at(-1) !== from || b.tasks[0] !== to) return false;
      return most === 0 || trains.every((other) => other === a || other === b || other.length > most);
    });
    if (!joined) return trains;
    const [a, b] = [of.get(joined.from) as Train, of.get(joined.to) as Train];
    const both = { tasks: [...a.tasks, ...b.tasks], length: a.length + joined.least + b.length };
    trains = [...trains.filter((train) => train !== a && train !== b), both];
  }
}

/** Under which literals a task uses a resource, as a word to compare. */
function usesOf({ users }: CompiledResource, task: number): string {
  return users
    .filter((user) => user.task === task)
    .map(({ when }) => when)
    .sort((a, b) => a - b)
    .join();
}
