import { type Literal, type Mode, type SearchTask } from '../scheduling/scheduleProblem';
import { preheat } from './dayOf';
import { cannerResource, type DayTask } from './dayProblem';
import { waterId } from './dayKitchen';
import { type Choice, coolId, type ModelGround, opposite, type Water, waterName } from './modelGround';
import { type LoadInCanner } from './inTheCanner';

/** Water stands hot so long before its jars, and no longer; never across a night. Common practice. */
export const HOT_BEFORE_MIN = 40;

/** The water of a canner: there where a load goes in, and heated as long as the load takes that wants the most. */
export function waterOf(ground: ModelGround, water: Water): SearchTask[] {
  const { canner, day } = water;
  const id = waterId(canner, day);
  const name = waterName(water);
  if (ground.question.progress?.of.has(id)) return [];
  const users = ground.usersOf(water);
  const longest = users.map((choice) => ({
    choice,
    task: preheat(
      (choice.inCanner.get(canner) as LoadInCanner).canner,
      [choice.inCanner.get(canner) as LoadInCanner],
      ground.question,
      day,
    ),
  }));
  const lengths = [...new Set(longest.map(({ task }) => task.minutes.p50))].sort((a, b) => a - b);
  const isSure = users.some((choice) => ground.isIn(choice, canner) === true);
  const used = `${name} is heated`;
  if (!isSure) {
    ground.clause(`!${used}`, ...users.map((choice) => ground.isIn(choice, canner)));
    for (const choice of users) ground.clause(used, opposite(ground.isIn(choice, canner)));
  }
  const first = longest[0]?.task as DayTask;
  const release = day === 0 ? releaseOf(ground, id) : fromItsDay(ground, water, users);
  const common = {
    id,
    needs: first.needs,
    ...(isSure ? {} : { presence: used }),
    ...(release !== undefined && { release }),
  };
  if (lengths.length === 1) return [{ ...common, minutes: lengths[0] as number }];
  const modes = lengths.map((minutes): Mode => ({ minutes, needs: {}, when: `${name} is heated ${minutes} min` }));
  for (const [k, { minutes, when }] of modes.entries()) {
    const want = longest
      .filter(({ task }) => task.minutes.p50 === minutes)
      .map(({ choice }) => ground.isIn(choice, canner));
    ground.clause(`!${when}`, ...want);
    for (const own of want) ground.clause(opposite(own), ...modes.slice(k).map((mode) => mode.when));
  }
  return [{ ...common, minutes: 0, modes }];
}

/** Water that is still to be put on is put on from now on. */
function releaseOf(ground: ModelGround, id: string): number | undefined {
  const own = ground.told.tasks.find((task) => task.id === id);
  return own?.releaseMin ?? (ground.question.progress ? 0 : undefined);
}

/** Nothing is heated for a later day before that day begins. */
function fromItsDay({ question }: ModelGround, { canner }: Water, users: readonly Choice[]): number {
  const batches = users.flatMap(({ inCanner }) => inCanner.get(canner)?.batch.id ?? []);
  const from = Math.min(...batches.map((id) => question.later?.get(id)?.fromMin ?? 0));
  return Math.max(0, from - (question.progress?.nowMin ?? 0));
}

/** Some load, or the cold water before it, follows the hot water soon. */
export function tieWater(
  ground: ModelGround,
  { canner, day }: Water,
  tasks: SearchTask[],
  cooling: SearchTask[],
  isHeated: ReadonlySet<string>,
): void {
  const water = waterId(canner, day);
  const name = waterName({ canner, day });
  if (!isHeated.has(water)) return;
  const users = ground
    .usersOf({ canner, day })
    .filter((choice) => !ground.question.progress?.of.has(`load ${choice.id}`));
  const soon: Literal[] = [];
  for (const choice of users) {
    const k = tasks.findIndex(({ id }) => id === `load ${choice.id}`);
    const task = tasks[k];
    const c = cooling.findIndex(({ id }) => id === coolId(choice.id));
    const cool = cooling[c];
    const cooled = cool?.modes?.find(({ needs }) => needs[cannerResource(canner)])?.when;
    if (task) {
      const when = `${name} is hot for ${choice.id}`;
      ground.clause(`!${when}`, ground.isIn(choice, canner));
      if (cooled !== undefined) ground.clause(`!${when}`, `!${cooled}`);
      tasks[k] = { ...task, after: [...(task.after ?? []), { task: water, maxLag: HOT_BEFORE_MIN, when }] };
      soon.push(when);
    }
    if (cool && cooled !== undefined) {
      const when = `${name} is hot for the cold water of ${choice.id}`;
      ground.clause(`!${when}`, cooled);
      cooling[c] = { ...cool, after: [...(cool.after ?? []), { task: water, maxLag: HOT_BEFORE_MIN, when }] };
      soon.push(when);
    }
  }
  const isSure = users.some((choice) => ground.isIn(choice, canner) === true);
  if (soon.length > 0) ground.clause(...(isSure ? [] : [`!${name} is heated`]), ...soon);
}
