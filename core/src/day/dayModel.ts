import { type Lag, type Mode, type ScheduleProblem, type SearchTask } from '../scheduling/scheduleProblem';
import { COOLED_HOLD_MIN } from './coolWater';
import { coolingOf } from './cooledFor';
import { type Assignment, waterId } from './dayKitchen';
import { cannerResource, type DayProblem, scheduleProblemOf } from './dayProblem';
import { BEGIN, type Choice, choicesOf, coolId, inLiteral, ModelGround, whenTold } from './modelGround';
import { type DayQuestion, problemOf } from './questionOfDay';
import { tieWater, waterOf } from './waterInTime';
import { IN_CANNER } from './wish';

/** A day as the search takes it: which canner a load goes into is decided with its time. */
export interface DayModel {
  readonly problem: ScheduleProblem;
  /** The day with each load in the first canner that can take it: its steps in words. */
  readonly told: DayProblem;
  /** Which canner each load goes into where the decisions are made. */
  cannerOf(decisions: ReadonlyMap<string, boolean>): Assignment;
}

/**
 * The tasks of a day with the canners left open. Each stage of a load has a mode for each canner that can take it; the water of a
 * canner is heated where a load goes in, as long as the load takes that wants the most of it; raw jars that follow others into a
 * canner have its water cooled first. For each way to make these decisions the tasks, needs and lags are those of `dayOf`.
 *
 * @param able canners that can take each load, at least one for each
 * @param isTied water is hot in time for some load, and no longer before it than it should stand
 */
export function dayModel(
  question: DayQuestion,
  able: ReadonlyMap<string, readonly string[]>,
  { isTied }: { readonly isTied: boolean },
): DayModel {
  const base = new Map([...able].map(([load, ids]) => [load, ids[0] as string]));
  const told = problemOf(question, base);
  const build = new ModelBuilder(new ModelGround(question, told, choicesOf(question, able, base)));
  return { problem: build.problem(base, isTied), told, cannerOf: (decisions) => build.cannerOf(decisions) };
}

class ModelBuilder {
  constructor(private readonly ground: ModelGround) {}

  problem(base: Assignment, isTied: boolean): ScheduleProblem {
    const { choices, told, canners, question } = this.ground;
    const isOpen = new Set(choices.filter(({ able }) => able.length > 1).map(({ id }) => id));
    const plain = told.tasks.filter(
      ({ kind, loadId }) =>
        kind !== 'preheat' && kind !== 'cool-water' && !(IN_CANNER.includes(kind) && isOpen.has(loadId ?? '')),
    );
    const water = this.ground.waters.flatMap((own) => waterOf(this.ground, own));
    const isHeated = new Set(water.map(({ id }) => id));
    const cooling = choices.filter(({ isRaw }) => isRaw).flatMap((choice) => coolingOf(this.ground, choice));
    const staged = choices.flatMap((choice) => (choice.able.length > 1 ? this.stagesOf(choice, base) : []));
    const tasks = [...scheduleProblemOf({ ...told, tasks: plain }).tasks, ...staged].map((task) => {
      const choice = choices.find(({ id }) => task.id === `load ${id}`);
      return choice ? { ...task, after: this.beforeLoading(task, choice, cooling, isHeated) } : withoutWater(task);
    });
    if (isTied) for (const own of this.ground.waters) tieWater(this.ground, own, tasks, cooling, isHeated);
    const all = [...water, ...cooling, ...tasks].map((task) => dueBy(task, question.overByMin));
    const isBegun = all.some(({ after = [] }) => after.some((lag) => lag.task === BEGIN.id));
    return {
      // Canners that no load is in so far are resources too.
      resources: [
        ...told.resources,
        ...canners
          .filter((id) => told.resources.every((resource) => resource.id !== cannerResource(id)))
          .map((id) => this.resourceOf(id, base)),
      ],
      tasks: isBegun ? [BEGIN, ...all] : all,
      clauses: this.ground.clauses,
    };
  }

  cannerOf(decisions: ReadonlyMap<string, boolean>): Assignment {
    return new Map(
      this.ground.choices.map(({ id, able }) => {
        const chosen = able.length > 1 ? able.find((canner) => decisions.get(inLiteral(id, canner))) : able[0];
        return [id, chosen ?? (able[0] as string)];
      }),
    );
  }

  /** One of the canners with what a running load holds of it, as the day with a load in it has it. */
  private resourceOf(canner: string, base: Assignment) {
    const choice = this.ground.choices.find(({ able }) => able.includes(canner)) as Choice;
    const { resources } = problemOf(this.ground.question, new Map([...base, [choice.id, canner]]));
    const own = resources.find(({ id }) => id === cannerResource(canner));
    return own ?? { id: cannerResource(canner), capacity: 1 };
  }

  /** The stages of a load in a canner: a mode of each for every canner that can take it. */
  private stagesOf(choice: Choice, base: Assignment): SearchTask[] {
    const { id, able } = choice;
    const ways = able.map((canner) => {
      const { tasks } =
        base.get(id) === canner ? this.ground.told : problemOf(this.ground.question, new Map([...base, [id, canner]]));
      const own = tasks.filter((task) => task.loadId === id && IN_CANNER.includes(task.kind));
      return { tasks: scheduleProblemOf({ resources: [], tasks: own }).tasks };
    });
    return (ways[0]?.tasks ?? []).map((task, k): SearchTask => {
      const own = ways.map((way) => way.tasks[k] as SearchTask);
      const modes = own.map(({ minutes, needs }, w): Mode => ({
        ...{ minutes, needs, when: inLiteral(id, able[w] as string) },
      }));
      const after = [
        ...(task.after ?? []),
        ...own.flatMap((each, w) => this.ifLater(each, own, able[w] as string, id)),
      ];
      const isSame = (of: (each: SearchTask) => number | undefined) => own.every((each) => of(each) === of(task));
      const release = isSame((each) => each.release) ? task.release : Math.min(...own.map((each) => each.release ?? 0));
      const due = isSame((each) => each.due) ? task.due : undefined;
      return {
        ...{ id: task.id, minutes: 0, needs: {}, modes, after },
        ...(release !== undefined && { release }),
        ...(due !== undefined && { due }),
      };
    });
  }

  /** What is ready later, or due, in one canner and not in another. */
  private ifLater(own: SearchTask, all: readonly SearchTask[], canner: string, load: string): Lag[] {
    const lags: Lag[] = [];
    const when = inLiteral(load, canner);
    if (all.some(({ release }) => release !== own.release) && (own.release ?? 0) > 0) {
      lags.push({ task: BEGIN.id, minLag: own.release ?? 0, when });
    }
    if (all.some(({ due }) => due !== own.due) && own.due !== undefined) {
      lags.push({ task: BEGIN.id, maxLag: own.due - own.minutes, when });
    }
    return lags;
  }

  /** Jars go in when the water of their canner is hot, or has been cooled for them. */
  private beforeLoading(
    task: SearchTask,
    choice: Choice,
    cooling: readonly SearchTask[],
    isHeated: ReadonlySet<string>,
  ): Lag[] {
    const { after = [] } = withoutWater(task);
    const hot = choice.able
      .filter((canner) => isHeated.has(waterId(canner, choice.day)))
      .map((canner): Lag => ({ task: waterId(canner, choice.day), ...whenTold(this.ground.isIn(choice, canner)) }));
    const cool = cooling
      .filter(({ id }) => id === coolId(choice.id))
      .map(({ id }): Lag => ({ task: id, maxLag: COOLED_HOLD_MIN }));
    return [...after, ...hot, ...cool];
  }
}

function dueBy(task: SearchTask, overByMin = Infinity): SearchTask {
  if (task.uncounted) return task;
  const due = Math.min(task.due ?? Infinity, Math.max(0, overByMin));
  return due < Infinity ? { ...task, due } : task;
}

/** A task without the lags from water, which the model tells anew. */
function withoutWater(task: SearchTask): SearchTask {
  const after = (task.after ?? []).filter(
    (lag) => !lag.task.startsWith('preheat ') && !lag.task.startsWith('cool-water '),
  );
  return { ...task, after };
}
