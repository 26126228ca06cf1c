import { type Canner, isPressure } from '../canner/canner';
import { asTaken, heatUpKey, type HeatUpQuestion, heatUpMinutes } from '../canner/heatUp';
import { COOL_MINUTES, restMinutes } from '../canner/restMinutes';
import { countJars } from '../handbook/jars';
import { CANNER_STEPS } from '../handbook/steps';
import { type Range } from '../math/range';
import { type Batch, type CannedBatch, frozenPart, type PlannedLoad } from './batch';
import { cannerWords } from './cannerWords';
import { BURNERS, CANNER_BURNERS, cannerResource, type DayTask, HANDS, WATCH } from './dayProblem';
import { type LoadInCanner } from './inTheCanner';
import { type Lag } from '../scheduling/scheduleProblem';
import { type DayKitchen, daysLater, paceOf, waterId } from './dayKitchen';
import { type Span, plus, range, times, whole } from './minutes';
import { fedInPortions, type Piecework } from './portions';
import {
  CUT_HOLD_MIN,
  type NumberedStep,
  holdAfter,
  inHandWords,
  jarPace,
  nameOfOther,
  needsOf,
  poundsFor,
} from './stepWork';

/** A soak in the cold may wait so much longer than it must. Common practice. */
const COLD_HOLD_MIN = 12 * 60;

/** Jars carried to the refrigerator, labels on. Common practice. */
const STORE_MIN: Span = [2, 4];

/** What stands over a fire, or in one, is over when its time is. */
const FIRED = ['burner', 'big pot', 'oven', 'grill'];

/** Jars lifted out after the rest, not left in the water. Common practice. */
const UNLOAD_WITHIN_MIN = 10;

/** What a step is done for: a batch, or one load of it. */
export interface Part {
  readonly kind: 'prepare' | 'fill';
  readonly key: string;
  /** Of the batch. */
  readonly share: number;
  readonly jars: number;
  readonly batch: Batch;
}

/** What a canner takes of the stove; one that heats itself takes nothing. */
export function stoveFor(canner: Canner): Record<string, number> {
  return canner.electric ? {} : { [BURNERS]: 1, [CANNER_BURNERS]: 1 };
}

/** What decides how long a load takes to the boil. */
export function questionOf({ batch, load, canner }: LoadInCanner, { ownJars }: DayKitchen): HeatUpQuestion {
  const { jar, pack, method, processMinutes, altitudeFt } = batch;
  const own = ownJars?.find(({ size }) => size === jar);
  return { canner, jar, jars: load.jars, pack, method, processMinutes, altitudeFt, ...(own && { own }) };
}

/** Pressure falls in its own time in each canner: as it was taken, once that is known. */
function restRange(batch: CannedBatch, canner: Canner, { restsTaken }: DayKitchen): Range {
  const taken = isPressure(batch.method) ? restsTaken?.get(heatUpKey(canner.id, batch.method)) : undefined;
  return taken && taken.length > 0 ? asTaken(taken) : range(restMinutes(batch.method, batch.jar));
}

/** Tasks one after the other, each soon enough after those it waits for: the one before, unless its card says others. */
export class Chain {
  readonly tasks: DayTask[] = [];
  private pending: Lag[];
  private required: Lag[] = [];
  /** How each step is waited for, by its entry. */
  private readonly ends: Map<string, Lag>;
  /** Steps that nothing waits for yet. */
  private readonly open: Set<string>;
  /** The work of hands that was added last, where no wait came after it. */
  private feeding: Piecework | undefined;

  constructor(
    private readonly kitchen: DayKitchen,
    private readonly owner: Pick<DayTask, 'batchId' | 'loadId'>,
    before?: Chain,
  ) {
    this.pending = before ? [...before.pending] : [];
    this.ends = new Map(before?.ends);
    this.open = new Set();
  }

  require(lag: Lag): void {
    this.required.push(lag);
  }

  /** The next task waits for all that goes on side by side. */
  join(): void {
    const ends = [...this.open].flatMap((entry) => this.ends.get(entry) ?? []);
    if (ends.length > 1) this.pending = ends;
    this.open.clear();
  }

  private waitFor({ entry, after }: NumberedStep): void {
    for (const each of after ?? []) this.open.delete(each);
    if (after) this.pending = after.flatMap((each) => this.ends.get(each) ?? []);
    else
      for (const each of [...this.open]) if (this.pending.includes(this.ends.get(each) as Lag)) this.open.delete(each);
    this.open.add(entry);
  }

  /** A step is its hands-on part, then its wait; either may be missing. */
  add(numberedStep: NumberedStep, part: Part): void {
    this.waitFor(numberedStep);
    this.addTasks(numberedStep, part);
    const [end] = this.pending;
    if (end) this.ends.set(numberedStep.entry, end);
    else this.open.delete(numberedStep.entry);
  }

  private addTasks({ id: entry, step, of, entry: name }: NumberedStep, { kind, key, share, jars, batch }: Part): void {
    const { row, waitMinutes, words: stepWords, handsPerJar } = step;
    // What was frozen was washed before.
    const fresh = row.step.startsWith('wash') ? 1 - frozenPart(batch) : 1;
    const pounds = poundsFor(batch, of) * share * fresh;
    const perJar = handsPerJar?.[jarPace(batch.jar)] ?? [0, 0];
    const usual = plus(plus(times(row.handsPerLb, pounds), row.fixedMinutes), times(perJar, jars));
    const hands = times(usual, paceOf(row.step, this.kitchen));
    // A minute or two to put a pot on is no step of its own.
    const alone = waitMinutes[1] > 0 && row.handsPerLb[1] === 0 && row.fixedMinutes[1] <= 2;
    const words =
      row.step === 'fill'
        ? `${stepWords} ${countJars(jars, batch.jar)}`
        : row.handsPerLb[1] > 0
          ? `${stepWords} ${inHandWords(pounds, this.kitchen.setup.units)}${nameOfOther(batch, of)}`
          : stepWords;
    const needs = needsOf(step, pounds, this.kitchen.setup);
    const hold = holdAfter(step, kind);
    const feeding = this.feeding;
    this.feeding = undefined;
    if (hands[1] > 0 && !alone) {
      const own: Piecework = {
        task: `${entry} ${key}`,
        row,
        ...(of && { of }),
        pounds: row.handsPerLb[1] > 0 ? pounds : 0,
        minutes: range(hands).p50,
        fixedMinutes: ((row.fixedMinutes[0] + row.fixedMinutes[1]) / 2) * paceOf(row.step, this.kitchen),
      };
      this.pending = this.inPortions(feeding, own) ?? this.pending;
      if (waitMinutes[1] === 0) this.feeding = own;
      this.push(
        {
          id: `${entry} ${key}`,
          step: row.step,
          entry: name,
          kind,
          words,
          minutes: range(hands),
          needs: { ...needs, [HANDS]: 1 },
          ...(row.handsPerLb[1] > 0 && { pounds }),
        },
        row.holding,
      );
      this.pending = [{ task: `${entry} ${key}`, ...(waitMinutes[1] > 0 ? { maxLag: 0 } : hold) }];
    }
    if (waitMinutes[1] === 0) return;
    const id = `${entry} wait ${key}`;
    if (step.row.resources.some((resource) => FIRED.includes(resource))) {
      this.push({ id, step: row.step, entry: name, kind, words, minutes: range(waitMinutes), needs }, row.holding);
      this.pending = [{ task: id, ...hold }];
      return;
    }
    // A soak or a drip takes its least time, and may take its longest and the pause after it besides.
    const [least, most] = waitMinutes;
    const waiting = {
      id,
      step: row.step,
      entry: name,
      kind,
      words,
      minutes: { p10: least, p50: least, p90: least },
      needs,
    };
    this.push(waiting, row.holding);
    const cold = row.holding.includes('refrigerated') ? COLD_HOLD_MIN : 0;
    const stretch = most - least + Math.max(cold, row.longestPauseAfter ?? 0);
    this.pending = [{ task: id, maxLag: stretch }];
  }

  /** What a step waits for when the one before hands its food on in portions: that takes another pair of hands. */
  private inPortions(feeding: Piecework | undefined, own: Piecework): Lag[] | undefined {
    const [before, ...others] = this.pending;
    const isNext = others.length === 0 && feeding !== undefined && before?.task === feeding.task;
    if (!isNext || this.kitchen.setup.cooks.length < 2) return undefined;
    return fedInPortions(feeding, own, before?.maxLag);
  }

  /** On the counter until they are no longer hot, then into the refrigerator or the freezer. */
  keepCold(batch: Batch, load: PlannedLoad): void {
    const jars = countJars(load.jars, batch.jar);
    const words = cannerWords(batch);
    const [least, most] = COOL_MINUTES;
    const cool = `cool ${load.id}`;
    this.push({ id: cool, kind: 'cool', words: words.rest, minutes: { p10: least, p50: least, p90: most }, needs: {} });
    // Food that is not canned stands at room temperature two hours and no longer. Common practice.
    this.pending = [{ task: cool, maxLag: CUT_HOLD_MIN - least }];
    const needs = { [HANDS]: 1 };
    this.push({
      id: `store ${load.id}`,
      kind: 'store',
      words: `${words.process}: ${jars}`,
      minutes: range(STORE_MIN),
      needs,
    });
    this.pending = [{ task: `store ${load.id}` }];
  }

  /** Into the canner and out again. */
  can({ batch, load, canner }: LoadInCanner, kitchen: DayKitchen, jars: string): void {
    const vessel = { [cannerResource(canner.id)]: 1 };
    const fired = { ...vessel, ...stoveFor(canner), [WATCH]: 1 };
    const taken = kitchen.heatUpsTaken?.get(heatUpKey(canner.id, batch.method));
    const heating = heatUpMinutes(questionOf({ batch, load, canner }, kitchen), taken);
    const process = batch.processMinutes;
    const words = cannerWords(batch);
    const add = (
      kind: DayTask['kind'],
      said: string,
      minutes: Range,
      needs: Record<string, number>,
      maxLag: number,
    ) => {
      const id = `${kind} ${load.id}`;
      this.push({ id, kind, words: said, minutes, needs, cannerId: canner.id });
      this.pending = [{ task: id, maxLag }];
    };
    this.require({ task: waterId(canner.id, daysLater(batch.id, kitchen)) });
    add('load', `Load ${jars}`, range(CANNER_STEPS.load), { ...vessel, ...stoveFor(canner), [HANDS]: 1 }, 0);
    add('heat-up', words.heatUp, whole(heating), fired, 0);
    add('process', words.process, { p10: process, p50: process, p90: process }, fired, 0);
    add('rest', words.rest, whole(restRange(batch, canner, kitchen)), vessel, UNLOAD_WITHIN_MIN);
    add('unload', `Lift out ${jars}`, range(CANNER_STEPS.unload), { ...vessel, [HANDS]: 1 }, 0);
  }

  private push(task: Omit<DayTask, 'after' | 'batchId' | 'loadId'>, holding = ''): void {
    const after = [...this.pending, ...this.required];
    this.required = [];
    this.tasks.push({ ...task, after, ...(holding !== '' && { holding }), ...this.owner });
  }
}
