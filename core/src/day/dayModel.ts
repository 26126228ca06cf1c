import { wantsCoolWater } from '../canner/heatUp';
import {
  type Literal,
  type Lag,
  type Mode,
  type ScheduleProblem,
  type SearchTask,
} from '../scheduling/scheduleProblem';
import { isCanned } from './batch';
import { COOL_WATER_STEP, COOLED_HOLD_MIN, coolMinutes, readyAt } from './coolWater';
import { type Assignment, cannerFor, paceOf } from './dayKitchen';
import { dayOf, preheat } from './dayOf';
import { cannerResource, type DayProblem, type DayTask, HANDS, scheduleProblemOf } from './dayProblem';
import { type DayQuestion, problemOf } from './questionOfDay';
import { hostOf, together } from './sharedLoad';
import { type LoadInCanner, questionOf } from './taskChain';
import { HOT_BEFORE_MIN } from './waterInTime';

/** A day as the search takes it: which canner a load goes into is decided with its time. */
export interface DayModel {
  readonly problem: ScheduleProblem;
  /** The day with each load in the first canner that can take it: its steps in words. */
  readonly told: DayProblem;
  /** Which canner each load goes into where the decisions are made. */
  cannerOf(decisions: ReadonlyMap<string, boolean>): Assignment;
}

/** The stages of a load that hold its canner. */
const IN_CANNER: readonly DayTask['kind'][] = ['load', 'heat-up', 'process', 'rest', 'unload'];

/** The moment at which the plan begins, for what is due or ready in one canner and not in another. */
const BEGIN: SearchTask = { id: 'begin', minutes: 0, needs: {}, due: 0 };

/** A load, the canners that can take it, and what it asks of each. */
interface Choice {
  readonly id: string;
  readonly able: readonly string[];
  readonly inCanner: ReadonlyMap<string, LoadInCanner>;
  /** Whether its jars go into water that has not boiled. */
  readonly isRaw: boolean;
  /** Loads of equal rank stand for each other; of those with raw jars the lowest can be ready first. */
  readonly rank: number;
}

/** Literals that hold always or never are told as such. */
type Told = Literal | boolean;

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
  const build = new ModelBuilder(question, told, choicesOf(question, able, base));
  return { problem: build.problem(base, isTied), told, cannerOf: (decisions) => build.cannerOf(decisions) };
}

function choicesOf(question: DayQuestion, able: ReadonlyMap<string, readonly string[]>, base: Assignment): Choice[] {
  const { batches, progress } = question;
  // Of the whole day, however far it has come: who goes in without cold water does not change on the way.
  const ready = readyAt(dayOf(batches, { ...question, cannerOf: base }).tasks);
  const ranks = new Map<string, number>();
  return batches.filter(isCanned).flatMap((batch) =>
    batch.loads
      .filter((load) => !hostOf(load, batches))
      .map((load): Choice => {
        const all = together(batch, load, batches);
        const ids = able.get(load.id) ?? [];
        const inCanner = new Map(
          ids.map((id) => {
            const canner = cannerFor(batch, load, { ...question, cannerOf: new Map([[load.id, id]]) });
            return [id, { ...all, batch: { ...all.batch, method: batch.method }, canner }];
          }),
        );
        // What has begun keeps its name, and so its place among those that are ready at once.
        const alike = progress ? load.id : `${batch.id} ${load.jars} ${load.size?.jar}`;
        const key = `${String(ready(load.id)).padStart(9, '0')} ${alike}`;
        if (!ranks.has(key)) ranks.set(key, ready(load.id) * 1_000 + ranks.size);
        return {
          ...{ id: load.id, able: ids, inCanner, rank: ranks.get(key) as number },
          isRaw: wantsCoolWater({ method: batch.method, pack: batch.pack }),
        };
      }),
  );
}

class ModelBuilder {
  private readonly clauses: Literal[][] = [];
  private readonly canners: readonly string[];

  constructor(
    private readonly question: DayQuestion,
    private readonly told: DayProblem,
    private readonly choices: readonly Choice[],
  ) {
    this.canners = [...new Set(choices.flatMap(({ able }) => able))];
  }

  problem(base: Assignment, isTied: boolean): ScheduleProblem {
    const { choices, told } = this;
    const isOpen = new Set(choices.filter(({ able }) => able.length > 1).map(({ id }) => id));
    const plain = told.tasks.filter(
      ({ kind, loadId }) =>
        kind !== 'preheat' && kind !== 'cool-water' && !(IN_CANNER.includes(kind) && isOpen.has(loadId ?? '')),
    );
    const water = this.canners.flatMap((canner) => this.waterOf(canner));
    const isHeated = new Set(water.map(({ id }) => id));
    const cooling = choices.filter(({ isRaw }) => isRaw).flatMap((choice) => this.coolingOf(choice));
    const staged = choices.flatMap((choice) => (choice.able.length > 1 ? this.stagesOf(choice, base) : []));
    const tasks = [...scheduleProblemOf({ ...told, tasks: plain }).tasks, ...staged].map((task) => {
      const choice = choices.find(({ id }) => task.id === `load ${id}`);
      return choice ? { ...task, after: this.beforeLoading(task, choice, cooling, isHeated) } : withoutWater(task);
    });
    if (isTied) for (const canner of this.canners) this.tie(canner, tasks, cooling, isHeated);
    const all = [...water, ...cooling, ...tasks].map((task) => dueBy(task, this.question.overByMin));
    const isBegun = all.some(({ after = [] }) => after.some((lag) => lag.task === BEGIN.id));
    return {
      // Canners that no load is in so far are resources too.
      resources: [
        ...told.resources,
        ...this.canners
          .filter((id) => told.resources.every((resource) => resource.id !== cannerResource(id)))
          .map((id) => this.resourceOf(id, base)),
      ],
      tasks: isBegun ? [BEGIN, ...all] : all,
      clauses: this.clauses,
    };
  }

  cannerOf(decisions: ReadonlyMap<string, boolean>): Assignment {
    return new Map(
      this.choices.map(({ id, able }) => {
        const chosen = able.length > 1 ? able.find((canner) => decisions.get(inLiteral(id, canner))) : able[0];
        return [id, chosen ?? (able[0] as string)];
      }),
    );
  }

  /** Whether a load goes into a canner. */
  private isIn({ id, able }: Choice, canner: string): Told {
    if (!able.includes(canner)) return false;
    return able.length === 1 ? true : inLiteral(id, canner);
  }

  private clause(...told: readonly Told[]): void {
    if (told.includes(true)) return;
    this.clauses.push(told.filter((each): each is Literal => typeof each === 'string'));
  }

  /** One of the canners with what a running load holds of it, as the day with a load in it has it. */
  private resourceOf(canner: string, base: Assignment) {
    const choice = this.choices.find(({ able }) => able.includes(canner)) as Choice;
    const { resources } = problemOf(this.question, new Map([...base, [choice.id, canner]]));
    const own = resources.find(({ id }) => id === cannerResource(canner));
    return own ?? { id: cannerResource(canner), capacity: 1 };
  }

  /** The stages of a load in a canner: a mode of each for every canner that can take it. */
  private stagesOf(choice: Choice, base: Assignment): SearchTask[] {
    const { id, able } = choice;
    const ways = able.map((canner) => {
      const { tasks } =
        base.get(id) === canner ? this.told : problemOf(this.question, new Map([...base, [id, canner]]));
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
      .filter((canner) => isHeated.has(waterId(canner)))
      .map((canner): Lag => ({ task: waterId(canner), ...whenTold(this.isIn(choice, canner)) }));
    const cool = cooling
      .filter(({ id }) => id === coolId(choice.id))
      .map(({ id }): Lag => ({ task: id, maxLag: COOLED_HOLD_MIN }));
    return [...after, ...hot, ...cool];
  }

  /** The water of a canner: there where a load goes in, and heated as long as the load takes that wants the most. */
  private waterOf(canner: string): SearchTask[] {
    const id = waterId(canner);
    if (this.question.progress?.of.has(id)) return [];
    const users = this.choices.filter(({ able }) => able.includes(canner));
    const longest = users.map((choice) => ({
      choice,
      task: preheat(
        (choice.inCanner.get(canner) as LoadInCanner).canner,
        [choice.inCanner.get(canner) as LoadInCanner],
        this.question,
      ),
    }));
    const lengths = [...new Set(longest.map(({ task }) => task.minutes.p50))].sort((a, b) => a - b);
    const isSure = users.some((choice) => this.isIn(choice, canner) === true);
    const used = `${canner} is heated`;
    if (!isSure) {
      this.clause(`!${used}`, ...users.map((choice) => this.isIn(choice, canner)));
      for (const choice of users) this.clause(used, opposite(this.isIn(choice, canner)));
    }
    const first = longest[0]?.task as DayTask;
    const release = this.releaseOf(id);
    const common = {
      id,
      needs: first.needs,
      ...(isSure ? {} : { presence: used }),
      ...(release !== undefined && { release }),
    };
    if (lengths.length === 1) return [{ ...common, minutes: lengths[0] as number }];
    const modes = lengths.map((minutes): Mode => ({ minutes, needs: {}, when: `${canner} is heated ${minutes} min` }));
    for (const [k, { minutes, when }] of modes.entries()) {
      const want = longest
        .filter(({ task }) => task.minutes.p50 === minutes)
        .map(({ choice }) => this.isIn(choice, canner));
      this.clause(`!${when}`, ...want);
      for (const own of want) this.clause(opposite(own), ...modes.slice(k).map((mode) => mode.when));
    }
    return [{ ...common, minutes: 0, modes }];
  }

  /** Water that is still to be put on is put on from now on. */
  private releaseOf(id: string): number | undefined {
    const own = this.told.tasks.find((task) => task.id === id);
    return own?.releaseMin ?? (this.question.progress ? 0 : undefined);
  }

  /** Cold water for raw jars that are not the first into a canner. See `withCooling`. */
  private coolingOf(choice: Choice): SearchTask[] {
    const { id, able } = choice;
    const own = coolId(id);
    if (this.question.progress?.of.has(own)) return [];
    const pace = paceOf(COOL_WATER_STEP, this.question);
    const after: Lag[] = [];
    const modes: Mode[] = [];
    for (const canner of able) {
      const others = this.choices.filter((other) => other !== choice && other.able.includes(canner));
      if (others.length === 0) continue;
      const when = `water of ${canner} is cooled for ${id}`;
      const minutes = coolMinutes(questionOf(choice.inCanner.get(canner) as LoadInCanner, this.question), pace).p50;
      modes.push({ when, minutes, needs: { [cannerResource(canner)]: 1 } });
      const here = this.isIn(choice, canner);
      const firsts = this.firstsOf(canner);
      const isFirst = firsts.get(choice) as Literal;
      this.clause(`!${when}`, here);
      this.clause(`!${when}`, `!${isFirst}`);
      this.clause(`!${when}`, ...others.map((other) => this.isIn(other, canner)));
      for (const other of others) this.clause(when, opposite(here), isFirst, opposite(this.isIn(other, canner)));
      after.push(this.following(waterId(canner), when));
      for (const other of others.filter(({ isRaw }) => isRaw)) {
        const both = `${id} follows ${other.id} in ${canner}`;
        const leads = firsts.get(other) as Literal;
        this.clause(both, `!${when}`, `!${leads}`);
        this.clause(`!${both}`, when);
        this.clause(`!${both}`, leads);
        after.push(this.following(`unload ${other.id}`, both));
      }
    }
    if (modes.length === 0) return [];
    const presence = `water is cooled for ${id}`;
    this.clause(`!${presence}`, ...modes.map(({ when }) => when));
    const begun = this.question.progress ? { release: 0 } : {};
    return [{ id: own, minutes: 0, needs: { [HANDS]: 1 }, modes, presence, after, ...begun }];
  }

  /** After a task, or, where that runs already, after it is likely over; what is over binds nothing. */
  private following(task: string, when: Literal): Lag {
    const { progress } = this.question;
    const begun = progress?.of.get(task);
    if (!progress || !begun) return { task, when };
    const left = begun.kind === 'running' ? Math.max(1, Math.ceil(begun.endMin - progress.nowMin)) : 0;
    return { task: BEGIN.id, minLag: left, when };
  }

  private readonly firsts = new Map<string, ReadonlyMap<Choice, Literal>>();

  /** Where all jars of a canner are raw, one of those that can be ready first needs no cold water: which one, by literals. */
  private firstsOf(canner: string): ReadonlyMap<Choice, Literal> {
    const known = this.firsts.get(canner);
    if (known) return known;
    const users = this.choices.filter(({ able }) => able.includes(canner));
    const raw = users.filter(({ isRaw }) => isRaw);
    const literals = new Map(raw.map((choice) => [choice, `${choice.id} is first of raw jars in ${canner}`]));
    this.firsts.set(canner, literals);
    const cooked = users.filter(({ isRaw }) => !isRaw);
    for (const [choice, own] of literals) {
      const here = this.isIn(choice, canner);
      const sooner = raw.filter(({ rank }) => rank < choice.rank);
      const equal = raw.filter(({ rank }) => rank === choice.rank);
      this.clause(`!${own}`, here);
      for (const other of [...cooked, ...sooner]) this.clause(`!${own}`, opposite(this.isIn(other, canner)));
      for (const other of equal) if (other !== choice) this.clause(`!${own}`, `!${literals.get(other)}`);
      this.clause(
        opposite(here),
        ...[...cooked, ...sooner].map((other) => this.isIn(other, canner)),
        ...equal.map((other) => literals.get(other) as Literal),
      );
    }
    return literals;
  }

  /** Some load, or the cold water before it, follows the hot water soon. */
  private tie(canner: string, tasks: SearchTask[], cooling: SearchTask[], isHeated: ReadonlySet<string>): void {
    const water = waterId(canner);
    if (!isHeated.has(water)) return;
    const users = this.choices.filter(
      (choice) => choice.able.includes(canner) && !this.question.progress?.of.has(`load ${choice.id}`),
    );
    const soon: Literal[] = [];
    for (const choice of users) {
      const k = tasks.findIndex(({ id }) => id === `load ${choice.id}`);
      const task = tasks[k];
      const c = cooling.findIndex(({ id }) => id === coolId(choice.id));
      const cool = cooling[c];
      const cooled = cool?.modes?.find(({ needs }) => needs[cannerResource(canner)])?.when;
      if (task) {
        const when = `${canner} is hot for ${choice.id}`;
        this.clause(`!${when}`, this.isIn(choice, canner));
        if (cooled !== undefined) this.clause(`!${when}`, `!${cooled}`);
        tasks[k] = { ...task, after: [...(task.after ?? []), { task: water, maxLag: HOT_BEFORE_MIN, when }] };
        soon.push(when);
      }
      if (cool && cooled !== undefined) {
        const when = `${canner} is hot for the cold water of ${choice.id}`;
        this.clause(`!${when}`, cooled);
        cooling[c] = { ...cool, after: [...(cool.after ?? []), { task: water, maxLag: HOT_BEFORE_MIN, when }] };
        soon.push(when);
      }
    }
    const isSure = users.some((choice) => this.isIn(choice, canner) === true);
    if (soon.length > 0) this.clause(...(isSure ? [] : [`!${canner} is heated`]), ...soon);
  }
}

function dueBy(task: SearchTask, overByMin = Infinity): SearchTask {
  const due = Math.min(task.due ?? Infinity, overByMin);
  return due < Infinity ? { ...task, due } : task;
}

function inLiteral(load: string, canner: string): Literal {
  return `${load} in ${canner}`;
}

function opposite(told: Told): Told {
  return typeof told === 'boolean' ? !told : `!${told}`;
}

function whenTold(told: Told): { when?: Literal } {
  return typeof told === 'string' ? { when: told } : {};
}

function waterId(canner: string): string {
  return `preheat ${canner}`;
}

function coolId(load: string): string {
  return `cool-water ${load}`;
}

/** A task without the lags from water, which the model tells anew. */
function withoutWater(task: SearchTask): SearchTask {
  const after = (task.after ?? []).filter(
    (lag) => !lag.task.startsWith('preheat ') && !lag.task.startsWith('cool-water '),
  );
  return { ...task, after };
}
