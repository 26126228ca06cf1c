import { wantsCoolWater } from '../canner/heatUp';
import { type Lag, type Literal, type SearchTask } from '../scheduling/scheduleProblem';
import { isCanned } from './batch';
import { readyAt } from './coolWater';
import { type Assignment, cannerFor, daysLater } from './dayKitchen';
import { dayOf } from './dayOf';
import { type DayProblem } from './dayProblem';
import { inItsCanner, type LoadInCanner } from './inTheCanner';
import { type DayQuestion } from './questionOfDay';
import { guestsOf, hostOf } from './sharedLoad';
import { loadsOf } from './wish';

/** The moment at which the plan begins, for what is due or ready in one canner and not in another. */
export const BEGIN: SearchTask = { id: 'begin', minutes: 0, needs: {}, due: 0 };

/** A load, the canners that can take it, and what it asks of each. */
export interface Choice {
  readonly id: string;
  readonly able: readonly string[];
  /** Days after the first one of the plan. */
  readonly day: number;
  readonly inCanner: ReadonlyMap<string, LoadInCanner>;
  /** Whether its jars go into water that has not boiled. */
  readonly isRaw: boolean;
  /** Loads of equal rank stand for each other; of those with raw jars the lowest can be ready first. */
  readonly rank: number;
}

/** The water of a canner on one day of the plan. */
export interface Water {
  readonly canner: string;
  readonly day: number;
}

/** What it is called in literals. */
export function waterName({ canner, day }: Water): string {
  return day === 0 ? canner : `${canner} on day ${day}`;
}

/** Literals that hold always or never are told as such. */
export type Told = Literal | boolean;

/** The loads of a day with the canners that can take them. */
export function choicesOf(
  question: DayQuestion,
  able: ReadonlyMap<string, readonly string[]>,
  base: Assignment,
): Choice[] {
  const { batches, progress, wishes = [] } = question;
  const named = new Set(wishes.flatMap(loadsOf));
  // Of the whole day, however far it has come: who goes in without cold water does not change on the way.
  const ready = readyAt(dayOf(batches, { ...question, cannerOf: base }).tasks);
  const ranks = new Map<string, number>();
  return batches.filter(isCanned).flatMap((batch) =>
    batch.loads
      .filter((load) => !hostOf(load, batches))
      .map((load): Choice => {
        const ids = able.get(load.id) ?? [];
        const inCanner = new Map(
          ids.map((id) => {
            const canner = cannerFor(batch, load, { ...question, cannerOf: new Map([[load.id, id]]) });
            return [id, inItsCanner(batch, load, batches, canner)];
          }),
        );
        // What has begun, shares its canner, or has something wished of it keeps its name, and so its place among those that are
        // ready at once.
        const isItself = progress !== undefined || named.has(load.id) || guestsOf(load.id, batches).length > 0;
        const alike = isItself ? load.id : `${batch.id} ${load.jars} ${load.size?.jar}`;
        const key = `${String(ready(load.id)).padStart(9, '0')} ${alike}`;
        if (!ranks.has(key)) ranks.set(key, ready(load.id) * 1_000 + ranks.size);
        return {
          ...{ id: load.id, able: ids, inCanner, rank: ranks.get(key) as number, day: daysLater(batch.id, question) },
          isRaw: wantsCoolWater({ method: batch.method, pack: batch.pack }),
        };
      }),
  );
}

/** What a model is built of: the day, its choices, and the clauses between its decisions so far. */
export class ModelGround {
  readonly clauses: Literal[][] = [];
  readonly canners: readonly string[];
  readonly waters: readonly Water[];
  /** Of each water whose jars may all be raw: the literals that a load is the one that needs no cold water. */
  readonly firsts = new Map<string, ReadonlyMap<Choice, Literal>>();

  constructor(
    readonly question: DayQuestion,
    readonly told: DayProblem,
    readonly choices: readonly Choice[],
  ) {
    this.canners = [...new Set(choices.flatMap(({ able }) => able))];
    this.waters = this.canners.flatMap((canner) => {
      const days = new Set(choices.filter(({ able }) => able.includes(canner)).map(({ day }) => day));
      return [...days].sort((a, b) => a - b).map((day) => ({ canner, day }));
    });
  }

  /** The loads that may go into a water. */
  usersOf({ canner, day }: Water): Choice[] {
    return this.choices.filter((choice) => choice.able.includes(canner) && choice.day === day);
  }

  /** Whether a load goes into a canner. */
  isIn({ id, able }: Choice, canner: string): Told {
    if (!able.includes(canner)) return false;
    return able.length === 1 ? true : inLiteral(id, canner);
  }

  /** At least one of these holds. */
  clause(...told: readonly Told[]): void {
    if (told.includes(true)) return;
    this.clauses.push(told.filter((each): each is Literal => typeof each === 'string'));
  }

  /** After a task, or, where that runs already, after it is likely over; what is over binds nothing. */
  following(task: string, when: Literal): Lag {
    const { progress } = this.question;
    const begun = progress?.of.get(task);
    if (!progress || !begun) return { task, when };
    const left = begun.kind === 'running' ? Math.max(1, Math.ceil(begun.endMin - progress.nowMin)) : 0;
    return { task: BEGIN.id, minLag: left, when };
  }
}

/** The literal that a load goes into a canner. */
export function inLiteral(load: string, canner: string): Literal {
  return `${load} in ${canner}`;
}

/** What holds where this does not. */
export function opposite(told: Told): Told {
  return typeof told === 'boolean' ? !told : `!${told}`;
}

/** A lag's literal, for one that does not hold always. */
export function whenTold(told: Told): { when?: Literal } {
  return typeof told === 'string' ? { when: told } : {};
}

/** The id of the task in which water is cooled for a load. */
export function coolId(load: string): string {
  return `cool-water ${load}`;
}
