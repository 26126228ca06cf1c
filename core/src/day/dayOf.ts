import { type Canner, isPressure, type OwnJar } from '../canner/canner';
import { asTaken, heatUpKey, type HeatUpQuestion, heatUpMinutes, preheatMinutes } from '../canner/heatUp';
import { COOL_MINUTES, restMinutes } from '../canner/restMinutes';
import { CROP_NAMES, isCrop } from '../handbook/crops';
import { countJars, JARS, type JarSize } from '../handbook/jars';
import { CANNER_STEPS, READY_JARS, type Step } from '../handbook/steps';
import { KG_PER_LB } from '../measure/amount';
import { printFraction } from '../measure/fraction';
import { type Range } from '../measure/range';
import { mainLine } from '../recipe/cardCrops';
import { outputRule, type PotOutput } from '../recipe/potOutputs';
import { cardForCrop } from '../yields/cardForCrop';
import {
  type Batch,
  type CannedBatch,
  cardOf,
  frozenPart,
  isCanned,
  jarsOf,
  jarsWords,
  mainCropOf,
  massKgOf,
  ofLoad,
  type PlannedLoad,
  shareOf,
} from './batch';
import { cannerWords } from './cannerWords';
import { COOL_WATER_STEP, withCooling } from './coolWater';
import { type DayStep, stepsOfBatch } from './daySequence';
import {
  BURNERS,
  CANNER_BURNERS,
  cannerResource,
  type DayProblem,
  type DayTask,
  HANDS,
  toolResource,
  WATCH,
} from './dayProblem';
import { dayResources } from './dayResources';
import { type KitchenSetup } from './kitchenSetup';
import { isLongWait } from './longWait';
import { guestsOf, hostOf, type LoadOfBatch, minutesOf, together, wordsInCanner } from './sharedLoad';
import { type Lag } from './search/scheduleProblem';
import { STERILE_HOLD_MIN, sterileJars } from './sterileJars';

type Span = readonly [low: number, high: number];

/** From here on a batch is in its jars, and hot jars go into the canner soon. */
const INTO_JARS = ['acid', 'raw-pack', 'pack-hot', 'fill'];

/** Cut, cooked or soaked food stands so long at room temperature and no longer. Common practice, see holding "2 h cut". */
const CUT_HOLD_MIN = 120;
/** What is kept hot without a time of its own. Common practice. */
const HOT_HOLD_MIN = 30;
/** A soak in the cold may wait so much longer than it must. Common practice. */
const COLD_HOLD_MIN = 12 * 60;
/** Jars carried to the refrigerator, labels on. Common practice. */
const STORE_MIN: Span = [2, 4];
/** What stands over a fire, or in one, is over when its time is. */
const FIRED = ['burner', 'big pot', 'oven', 'grill'];
/** Between doses, filling and lids: hot jars stay hot. Handbook steps. */
const JARS_HOLD_MIN = 10;
/** Jars lifted out after the rest, not left in the water. Common practice. */
const UNLOAD_WITHIN_MIN = 10;

/** What the pace of washing jars is learned by. */
export const READY_JARS_STEP = 'ready-jars';

export interface DayKitchen {
  readonly setup: KitchenSetup;
  readonly canners: readonly Canner[];
  /** Jars the household measured itself. */
  readonly ownJars?: readonly OwnJar[];
  /** Minute of the day at which the plan begins. */
  readonly startMinute: number;
  /** Minutes each canner has really taken to the boil or to pressure, by `heatUpKey`, newest last. */
  readonly heatUpsTaken?: ReadonlyMap<string, readonly number[]>;
  /** Minutes from heat off until the jars came out, as really taken, by `heatUpKey`, newest last. */
  readonly restsTaken?: ReadonlyMap<string, readonly number[]>;
  /** Hands-on minutes of a step against the handbook's, by step, where the household's own pace is known. */
  readonly paces?: ReadonlyMap<string, number>;
  /** Minute of the plan by which the produce of a batch must be taken in hand, or it spoils; by batch id. */
  readonly useBy?: ReadonlyMap<string, number>;
  /** Which canner a load goes into; what the batch says unless it is told here. */
  readonly cannerOf?: ReadonlyMap<string, string>;
}

/**
 * The tasks of a preserving day: jars made ready, canners heated, each load prepared, filled and processed, with what
 * each needs and how soon one must follow the other.
 *
 * Hands-on minutes grow with the pounds of each load, waits do not. Source of the minutes: the handbook's steps, common
 * practice; heating up by an energy balance or as really taken; the process time is the batch's tested one.
 *
 * @param batches all in the same kitchen
 * @throws RangeError for a load in a canner that the kitchen does not have
 */
export function dayOf(batches: readonly Batch[], kitchen: DayKitchen): DayProblem {
  const loads = batches.filter(isCanned).flatMap((batch) =>
    batch.loads
      .filter((load) => !hostOf(load, batches))
      .map((load): LoadInCanner => {
        const all = together(batch, load, batches);
        return {
          ...all,
          batch: { ...all.batch, method: batch.method },
          canner: cannerFor(batch, load, kitchen),
        };
      }),
  );
  const used = [...new Set(loads.map(({ canner }) => canner))];
  const tasks = [
    ...used.map((canner) =>
      preheat(
        canner,
        loads.filter((other) => other.canner === canner),
        kitchen,
      ),
    ),
    ...batches.flatMap((batch) => batchTasks(batch, batches, kitchen)),
  ];
  return {
    resources: dayResources(
      kitchen.setup,
      used.map(({ id }) => id),
      kitchen.startMinute,
      toolsNamedBy(batches),
    ),
    tasks: used.reduce<DayTask[]>((all, canner) => {
      const own = loads.filter((other) => other.canner === canner);
      const asked = own.map(({ batch, load }) => ({
        batch,
        load,
        question: questionOf({ batch, load, canner }, kitchen),
      }));
      return withCooling(all, canner.id, asked, { pace: paceOf(COOL_WATER_STEP, kitchen), units: kitchen.setup.units });
    }, tasks),
  };
}

/** The canner a load goes into. @throws RangeError when the kitchen has none like it */
export function cannerFor(batch: Batch, load: PlannedLoad, { canners, cannerOf }: DayKitchen): Canner {
  const id = cannerOf?.get(load.id) ?? load.cannerId ?? batch.cannerId;
  const canner = canners.find((other) => other.id === id);
  if (!canner) throw new RangeError(`no canner ${JSON.stringify(id)} for load ${JSON.stringify(load.id)}`);
  return canner;
}

function stoveFor(canner: Canner): Record<string, number> {
  return canner.electric ? {} : { [BURNERS]: 1, [CANNER_BURNERS]: 1 };
}

interface LoadInCanner extends LoadOfBatch {
  readonly batch: CannedBatch;
  readonly canner: Canner;
}

function preheat(canner: Canner, loads: readonly LoadInCanner[], kitchen: DayKitchen): DayTask {
  // The load that wants the most heat rules: its water has to be hot whichever goes first.
  const ranges = loads.map((load) => preheatMinutes(questionOf(load, kitchen)));
  const longest = ranges.reduce((a, b) => (b.p50 > a.p50 ? b : a));
  return {
    id: `preheat ${canner.id}`,
    kind: 'preheat',
    words: 'Water on',
    minutes: whole(longest),
    needs: { [cannerResource(canner.id)]: 1, [WATCH]: 1, ...stoveFor(canner) },
    after: [],
    late: true,
    cannerId: canner.id,
  };
}

function questionOf({ batch, load, canner }: LoadInCanner, { ownJars }: DayKitchen): HeatUpQuestion {
  const { jar, pack, method, processMinutes, altitudeFt } = batch;
  const own = ownJars?.find(({ size }) => size === jar);
  return { canner, jar, jars: load.jars, pack, method, processMinutes, altitudeFt, ...(own && { own }) };
}

function batchTasks(batch: Batch, batches: readonly Batch[], kitchen: DayKitchen): DayTask[] {
  const sequence = numbered(batch);
  const filling = sequence.findIndex(({ entry }) => INTO_JARS.includes(entry));
  const preparing = sequence.slice(0, filling);
  const lastLong = lastMadeOnce(batch, preparing);
  const made = new Chain(kitchen, { batchId: batch.id });
  for (const own of preparing.slice(0, lastLong + 1)) {
    made.add(own, { kind: 'prepare', key: batch.id, share: 1, jars: 0, batch });
  }
  made.join();
  const ready = readyJars(batch, kitchen);
  const due = (tasks: readonly DayTask[]) => savedBy(tasks, kitchen.useBy?.get(batch.id));
  return [
    ready,
    ...due(made.tasks),
    ...batch.loads.flatMap((load) => {
      const own = new Chain(kitchen, { batchId: batch.id, loadId: load.id }, made);
      const sized = ofLoad(batch, load);
      const part = { key: load.id, share: shareOf(batch, load), jars: load.jars, batch: sized };
      const pot = takenFrom(batch, batches);
      // Juice stands two hours and no longer, what waits for a second load is kept hot. Handbook steps.
      if (pot !== undefined) own.require({ task: pot, ...(load === batch.loads[0] && { maxLag: CUT_HOLD_MIN }) });
      for (const step of preparing.slice(lastLong + 1)) own.add(step, { ...part, kind: 'prepare' });
      own.join();
      own.require({ task: ready.id });
      const sterile = sterileJars(sized, load, ready, minutesOf(batch, load, batches), kitchen.setup);
      for (const { id } of sterile.slice(-1)) own.require({ task: id, maxLag: STERILE_HOLD_MIN });
      for (const step of sequence.slice(filling)) own.add(step, { ...part, kind: 'fill' });
      if (!isCanned(batch)) own.keepCold(sized, load);
      else if (!hostOf(load, batches)) {
        // Whoever goes in with it is filled by then, and waits no longer than its own jars.
        for (const guest of guestsOf(load.id, batches)) own.require({ task: filledId(guest), maxLag: JARS_HOLD_MIN });
        const all = together(batch, load, batches);
        const words = wordsInCanner(batch, load, batches);
        const canner = cannerFor(batch, load, kitchen);
        own.can({ ...all.batch, method: batch.method }, all.load, canner, kitchen, words);
      }
      return [...sterile, ...(made.tasks.length > 0 ? own.tasks : due(own.tasks))];
    }),
  ];
}

/** The step at which the pot that a batch begins with is taken off; undefined where that is no part of this day. */
function takenFrom({ from }: Batch, batches: readonly Batch[]): string | undefined {
  const pot = from && batches.find(({ id }) => id === from.batchId);
  return pot && stepTakenOff(pot, from.kind);
}

/** The id of the task at which a batch gives something off: once for all its loads. */
export function stepTakenOff(batch: Batch, kind: PotOutput): string | undefined {
  const { step } = outputRule(kind);
  return stepsOfBatch(batch).some(({ entry }) => entry === step) ? `${step} ${batch.id}` : undefined;
}

/**
 * The last step that is made once for the whole batch: a long wait; where something is taken off its pot, all up to there; where one covering liquid goes over several fillings, all
 * before the jars; where steps go on side by side, all up to where they meet.
 */
function lastMadeOnce({ loads, gives = [] }: Batch, preparing: readonly DayStep[]): number {
  if (loads.some(({ recipe }) => recipe !== undefined)) return preparing.length - 1;
  const takenOff = gives.map((kind) => outputRule(kind).step);
  const lastTaken = preparing.findLastIndex(({ entry }) => takenOff.includes(entry));
  return Math.max(lastTaken, lastWaited(preparing));
}

function lastWaited(preparing: readonly DayStep[]): number {
  const long = preparing.findLastIndex(({ step }) => isLongWait(step));
  const meeting = preparing.findLastIndex(({ after }) => after !== undefined);
  return long < 0 ? long : Math.max(long, meeting);
}

/** Tools that steps in own words name, besides what every kitchen counts. */
function toolsNamedBy(batches: readonly Batch[]): string[] {
  return [...new Set(batches.flatMap((batch) => stepsOfBatch(batch)).flatMap(({ step }) => toolsOf(step)))];
}

const COUNTED = ['hands', 'burner', 'refrigerator', 'big pot', 'oven', 'mill', 'strainer', 'ice', 'canner'];

function toolsOf({ row }: Pick<Step, 'row'>): string[] {
  return row.resources.filter((resource) => resource !== '' && !COUNTED.includes(resource));
}

/** The last step before the canner: lids are on. */
function filledId({ batch, load }: LoadOfBatch): string {
  return `${numbered(batch).at(-1)?.id} ${load.id}`;
}

/** The first step takes the produce in hand; from then on it is food in the making, with its own limits. */
function savedBy(tasks: readonly DayTask[], dueMin: number | undefined): DayTask[] {
  return tasks.map((task, i) => (i === 0 && dueMin !== undefined ? { ...task, dueMin } : task));
}

interface NumberedStep extends DayStep {
  /** The same in each plan of the batch: its name, what else than the main crop it works on, and which of several it is. */
  readonly id: string;
}

/** The steps of a batch, each with a name of its own. */
function numbered(batch: Batch): NumberedStep[] {
  const main = cardOf(batch);
  const leads = (main && mainLine(main)?.crops) ?? [];
  const used = batch.uses.flatMap(({ crop }) => crop ?? []);
  const seen = new Map<string, number>();
  return stepsOfBatch(batch)
    .filter(({ of, optional }) => !optional || !of || used.length === 0 || of.some((crop) => isOneOf(used, crop)))
    .map((step) => {
      const other = step.of?.find((crop) => !isOneOf(leads, crop));
      const name = other === undefined ? step.entry : `${step.entry}:${other}`;
      const count = (seen.get(name) ?? 0) + 1;
      seen.set(name, count);
      return { ...step, id: count === 1 ? name : `${name}#${count}` };
    });
}

function isOneOf(crops: readonly string[], crop: string): boolean {
  return crops.includes(crop);
}

interface Part {
  readonly kind: 'prepare' | 'fill';
  readonly key: string;
  /** Of the batch. */
  readonly share: number;
  readonly jars: number;
  readonly batch: Batch;
}

/** Tasks one after the other, each soon enough after those it waits for: the one before, unless its card says others. */
class Chain {
  readonly tasks: DayTask[] = [];
  private pending: Lag[];
  private required: Lag[] = [];
  /** How each step is waited for, by its entry. */
  private readonly ends: Map<string, Lag>;
  /** Steps that nothing waits for yet. */
  private readonly open: Set<string>;

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
    if (hands[1] > 0 && !alone) {
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
  can(batch: CannedBatch, load: PlannedLoad, canner: Canner, kitchen: DayKitchen, jars: string): void {
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
    this.require({ task: `preheat ${canner.id}` });
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

function needsOf({ row }: Step, pounds: number, { tools }: KitchenSetup): Record<string, number> {
  const needs: Record<string, number> = {};
  for (const resource of row.resources) {
    if (resource === 'burner') Object.assign(needs, { [BURNERS]: 1, [WATCH]: 1 });
    else if (resource === 'refrigerator') needs.refrigerator = Math.max(1, Math.ceil(pounds));
    else if (['big pot', 'oven', 'mill', 'strainer'].includes(resource)) needs[resource] = 1;
  }
  // In ice it needs no refrigerator.
  if (row.resources.includes('ice')) delete needs.refrigerator;
  for (const { name, step } of tools) if (step === row.step) needs[toolResource(name)] = 1;
  for (const name of toolsOf({ row })) needs[toolResource(name)] = 1;
  return needs;
}

/** The longest pause that may follow a step. */
function holdAfter({ row }: Step, kind: Part['kind']): { maxLag?: number } {
  if (row.longestPauseAfter !== undefined) return { maxLag: row.longestPauseAfter };
  if (kind === 'fill') return { maxLag: JARS_HOLD_MIN };
  if (row.holding.startsWith('2 h cut')) return { maxLag: CUT_HOLD_MIN };
  if (row.holding === 'hot') return { maxLag: HOT_HOLD_MIN };
  return {};
}

/** The household's own pace at a step, or what it says of itself, or the handbook's. */
function paceOf(step: string, { paces, setup }: DayKitchen): number {
  return paces?.get(step) ?? setup.handsPace ?? 1;
}

/** Pressure falls in its own time in each canner: as it was taken, once that is known. */
function restRange(batch: CannedBatch, canner: Canner, { restsTaken }: DayKitchen): Range {
  const taken = isPressure(batch.method) ? restsTaken?.get(heatUpKey(canner.id, batch.method)) : undefined;
  return taken && taken.length > 0 ? asTaken(taken) : range(restMinutes(batch.method, batch.jar));
}

function readyJars(batch: Batch, kitchen: DayKitchen): DayTask {
  const jars = jarsOf(batch);
  const minutes = plus(times(READY_JARS.handsPerJar, jars), READY_JARS.fixedMinutes);
  return {
    id: `jars ${batch.id}`,
    kind: 'ready-jars',
    step: READY_JARS_STEP,
    words: `Wash ${jarsWords(batch)}`,
    minutes: range(times(minutes, paceOf(READY_JARS_STEP, kitchen))),
    needs: { [HANDS]: 1 },
    after: [],
    batchId: batch.id,
  };
}

/** Small jars are filled faster, large ones slower. */
function jarPace(jar: JarSize): 'halfPint' | 'pint' | 'quart' {
  const { nominalFlOz } = JARS[jar];
  if (nominalFlOz <= JARS['half-pint'].nominalFlOz) return 'halfPint';
  return nominalFlOz <= JARS.pint.nominalFlOz ? 'pint' : 'quart';
}

/** Pounds that a step has in hand: of its crops, or of all; what is not reserved yet as much as the card wants of it. */
function poundsFor(batch: Batch, of: readonly string[] | undefined): number {
  const all = massKgOf(batch) / KG_PER_LB;
  if (!of) return all;
  const main = mainCropOf(batch);
  const isMeant = (crop: string) => of.includes(crop) || (of.includes(ANY_VEGETABLES) && crop !== main);
  const told = batch.uses.filter(({ crop }) => crop !== undefined);
  if (told.length === 0) return all;
  const kg = told.reduce((sum, { crop = '', massKg }) => sum + (isMeant(crop) ? massKg : 0), 0);
  if (kg > 0) return kg / KG_PER_LB;
  const card = main && cardForCrop(batch.product, main);
  if (!card) return 0;
  const batches = massKgOf(batch, main) / card.main.kgPerBatch;
  const wanted = card.others.filter(({ crop, line }) => isMeant(crop) && !line.optional);
  return (wanted.reduce((sum, { kgPerBatch = 0 }) => sum + kgPerBatch, 0) * batches) / KG_PER_LB;
}

/** A card's word for all its vegetables but the main one. */
const ANY_VEGETABLES = 'vegetables';

/** "2 1/4 lb", under five pounds a quarter counts, under ten a half; "5.4 kg", "450 g". */
function inHandWords(pounds: number, units: KitchenSetup['units'] = 'us'): string {
  const kg = pounds * KG_PER_LB;
  if (units === 'metric') return kg < 1 ? `${Math.max(50, Math.round(kg * 20) * 50)} g` : `${round(kg)} kg`;
  return `${pounds < 10 ? printFraction(Math.max(1 / 4, pounds), pounds < 5 ? 4 : 2) : Math.round(pounds)} lb`;
}

/** To the tenth below ten. */
function round(kg: number): number {
  return kg < 10 ? Math.round(kg * 10) / 10 : Math.round(kg);
}

/** " onions", where a step works on another crop than the main one. */
function nameOfOther(batch: Batch, of: readonly string[] | undefined): string {
  const main = cardOf(batch);
  const leads = (main && mainLine(main)?.crops) ?? [];
  const other = of?.find((crop) => !isOneOf(leads, crop));
  return other !== undefined && isCrop(other) ? ` ${CROP_NAMES[other].toLowerCase()}` : '';
}

function range([low, high]: Span): Range {
  // Whole minutes, so that the clock times of a plan are ones that a kitchen clock shows.
  return { p10: low, p50: Math.max(1, Math.round((low + high) / 2)), p90: high };
}

function whole({ p10, p50, p90 }: Range): Range {
  return { p10, p50: Math.max(1, Math.round(p50)), p90 };
}

function times([low, high]: Span, factor: number): Span {
  return [low * factor, high * factor];
}

function plus(a: Span, b: Span): Span {
  return [a[0] + b[0], a[1] + b[1]];
}
