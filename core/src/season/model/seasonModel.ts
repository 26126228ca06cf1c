import { daysBetween } from '../../day/daysTogether';
import { coldOn, keptFor } from '../problem/keepingWindow';
import { type LinearModel, type LinearTerm, ModelWriter } from './linearModel';
import {
  type Arrival,
  goalKey,
  type SeasonCut,
  type SeasonDay,
  type SeasonProblem,
  type SeasonRecipe,
} from '../problem/seasonProblem';
import { canningMinutes, usableHands } from '../problem/dayHours';
import { mostJars, mostOver } from './mostJars';
import { COSTS, worthPieces } from '../problem/seasonWorth';

/** A product on a day: whether it is begun at all, its loads, and what counts its jars. */
export interface BatchColumns {
  readonly day: SeasonDay;
  readonly recipe: SeasonRecipe;
  readonly begun: number;
  /** The same column as `begun` where there can be one load only. */
  readonly loads: number;
  readonly mostLoads: number;
  readonly most: number;
  /** One jar by one, or as many as a pot fills by the loads. */
  readonly jars: LinearTerm;
}

/** Produce of an arrival taken on a day. */
export interface TakingColumn {
  readonly day: SeasonDay;
  readonly arrival: Arrival;
  readonly from: 'place' | 'refrigerator';
  readonly column: number;
}

/** Which column of a season's model says what. */
export interface SeasonModel {
  readonly model: LinearModel;
  readonly batches: readonly BatchColumns[];
  readonly takings: readonly TakingColumn[];
  /** Frozen of an arrival, and left of it. */
  readonly rests: readonly { readonly arrival: Arrival; readonly frozen?: number; readonly left: number }[];
  /** Of a crop taken out of what this plan froze. */
  readonly thawed: readonly { readonly day: SeasonDay; readonly crop: string; readonly column: number }[];
  readonly days: readonly { readonly day: SeasonDay; readonly column: number }[];
  readonly goals: readonly { readonly key: string; readonly pieces: readonly number[] }[];
  readonly bought: readonly { readonly key: string; readonly column: number }[];
  /** That a batch has so many loads or more, where a cut asks for it. */
  readonly reached: readonly { readonly batch: BatchColumns; readonly count: number; readonly column: number }[];
}

/**
 * The season as a mixed-integer linear model: which product on which day, in how many loads and jars, from which produce.
 *
 * How many jars a day could make of a product at most, by its goal, the day and the produce in reach, bounds its loads and
 * its jars: without that the relaxation begins every product a little everywhere.
 *
 * docs/season-plan.md writes the model down.
 */
export function seasonModel(problem: SeasonProblem): SeasonModel {
  return new SeasonWriter(problem).write();
}

class SeasonWriter {
  private readonly writer = new ModelWriter();
  private readonly batches: BatchColumns[] = [];
  private readonly byDay = new Map<SeasonDay, BatchColumns[]>();
  private readonly takings: TakingColumn[] = [];
  private readonly thawed: { day: SeasonDay; crop: string; column: number }[] = [];
  private readonly days: { day: SeasonDay; column: number }[] = [];
  private readonly bought: { key: string; column: number }[] = [];
  private rests: SeasonModel['rests'] = [];
  private readonly reached: { batch: BatchColumns; count: number; column: number }[] = [];

  constructor(private readonly problem: SeasonProblem) {}

  write(): SeasonModel {
    this.addDays();
    this.addBatches();
    this.addProduce();
    this.addRoom();
    this.addHours();
    const goals = this.addGoals();
    this.addStock();
    this.addByProducts();
    this.addCuts();
    const { batches, takings, rests, thawed, days, bought, reached } = this;
    return { model: this.writer.model, batches, takings, rests, thawed, days, goals, bought, reached };
  }

  private onDay(day: SeasonDay): readonly BatchColumns[] {
    return this.byDay.get(day) ?? [];
  }

  private addDays(): void {
    for (const day of this.problem.days) {
      this.days.push({ day, column: this.writer.column(-COSTS.beginDay, 1, true) });
    }
    for (const week of new Set(this.problem.days.map((day) => day.week))) {
      const own = this.days.filter(({ day }) => day.week === week);
      if (own.length <= this.problem.mostDaysAWeek) continue;
      this.writer.row(
        0,
        own.map(({ column }) => [column, 1]),
        this.problem.mostDaysAWeek,
      );
    }
  }

  private addBatches(): void {
    const { writer, problem } = this;
    for (const { day, column: given } of this.days) {
      for (const recipe of problem.recipes) {
        const pin = problem.pins.find((each) => each.day === day.id && each.recipe === recipe.id);
        const most = pin?.jars ?? mostJars(problem, recipe, day);
        if (most < 1) continue;
        const kept = problem.before.some((each) => each.day === day.id && each.recipe === recipe.id);
        const { hands, perLoad, wholePots } = recipe;
        // A pin is kept as far as it goes: one that rain made impossible must not make the whole season so.
        const perJar = (pin ? COSTS.pinned : 0) - COSTS.handsMinute * hands.jar;
        const begins = (kept ? COSTS.changed : 0) - COSTS.beginProduct - COSTS.handsMinute * hands.begin;
        const perPot = (wholePots ? perJar * perLoad : 0) - COSTS.handsMinute * hands.load;
        const mostLoads = Math.ceil(most / perLoad);
        const begun = writer.column(begins + (mostLoads === 1 ? perPot : 0), 1, true);
        const loads = mostLoads === 1 ? begun : writer.column(perPot, mostLoads, true);
        writer.row(
          -Infinity,
          [
            [begun, 1],
            [given, -1],
          ],
          0,
        );
        if (mostLoads > 1)
          writer.row(
            -Infinity,
            [
              [loads, 1],
              [begun, -mostLoads],
            ],
            0,
          );
        const jars: LinearTerm = wholePots ? [loads, perLoad] : [writer.column(perJar, most, true), 1];
        if (!wholePots) {
          writer.row(-Infinity, [jars, [begun, -most]], 0);
          if (mostLoads > 1) writer.row(-Infinity, [jars, [loads, -perLoad]], 0);
        }
        const batch = { day, recipe, begun, loads, mostLoads, most, jars };
        this.batches.push(batch);
        this.byDay.set(day, [...(this.byDay.get(day) ?? []), batch]);
      }
    }
  }

  /** What comes is taken, frozen or left; what a day makes is taken on it. */
  private addProduce(): void {
    const { writer, problem } = this;
    const used = new Set(this.batches.flatMap(({ recipe }) => recipe.crops.map(({ crop }) => crop)));
    const frozenToo = new Set(
      this.batches.flatMap(({ recipe }) => (recipe.frozenToo ? recipe.crops.map(({ crop }) => crop as string) : [])),
    );
    this.rests = problem.arrivals.map((arrival) => {
      const left = writer.column(-COSTS.lostKg, arrival.massKg);
      const canFreeze = arrival.bagsPerKg !== undefined && !arrival.frozen;
      const frozen = canFreeze ? writer.column(-COSTS.frozenKg, arrival.massKg) : undefined;
      const takings = this.days.flatMap(({ day }): TakingColumn[] => {
        const from = keptFor(arrival, day);
        if (from === undefined || !used.has(arrival.crop) || !this.isAskedFor(arrival, day)) return [];
        return [{ day, arrival, from, column: writer.column(0, arrival.massKg) }];
      });
      this.takings.push(...takings);
      const parts = [left, ...(frozen === undefined ? [] : [frozen]), ...takings.map(({ column }) => column)];
      writer.row(
        arrival.massKg,
        parts.map((column) => [column, 1]),
        arrival.massKg,
      );
      return { arrival, ...(frozen !== undefined && { frozen }), left };
    });
    for (const crop of used) this.addCrop(crop, frozenToo.has(crop));
    this.tieTakings();
  }

  /**
   * Nothing is taken on a day that is not given, nor for a crop of which nothing is begun. It follows from the rest, and
   * says it of each arrival: the relaxation may not begin a tenth of a product to use up one week's picking.
   */
  private tieTakings(): void {
    for (const { day, arrival, column } of this.takings) {
      const given = this.days.find((each) => each.day === day);
      const own = this.onDay(day).filter((batch) => batch.recipe.crops.some(({ crop }) => crop === arrival.crop));
      // No more of it than the most of that product takes.
      const begun = own.map(({ recipe, begun: of, most }): LinearTerm => {
        return [of, -Math.min(arrival.massKg, most * (kgPerJar(recipe, arrival.crop) ?? 0))];
      });
      this.writer.row(-Infinity, [[column, 1], ...begun], 0);
      if (given && own.length > 1)
        this.writer.row(
          -Infinity,
          [
            [column, 1],
            [given.column, -arrival.massKg],
          ],
          0,
        );
    }
  }

  private isAskedFor(arrival: Arrival, day: SeasonDay): boolean {
    return this.onDay(day).some(
      (batch) =>
        (batch.recipe.softToo || !arrival.soft) &&
        (batch.recipe.frozenToo || !arrival.frozen) &&
        batch.recipe.crops.some(({ crop }) => crop === arrival.crop),
    );
  }

  private addCrop(crop: string, thaws: boolean): void {
    const { writer, rests } = this;
    const inFreezer = rests.filter(({ arrival, frozen }) => arrival.crop === crop && frozen !== undefined);
    for (const { day } of this.days) {
      const own = this.onDay(day).filter((batch) => batch.recipe.crops.some((share) => share.crop === crop));
      if (own.length === 0) continue;
      const takings = this.takings.filter((each) => each.day === day && each.arrival.crop === crop);
      const thawed = thaws && day.quiet && inFreezer.length > 0 && own.some(({ recipe }) => recipe.frozenToo);
      if (thawed) this.thawed.push({ day, crop, column: writer.column(0, Infinity) });
      const thawing: LinearTerm[] = thawed ? [[this.thawed.at(-1)?.column ?? 0, 1]] : [];
      const needs = (batches: readonly BatchColumns[]) =>
        batches.map(({ recipe, jars }) => times(jars, -(kgPerJar(recipe, crop) ?? 0)));
      const taken = (those: readonly TakingColumn[]) => those.map(({ column }): LinearTerm => [column, 1]);
      writer.row(0, [...taken(takings), ...thawing, ...needs(own)], 0);
      // What may not be soft, and what may not have been frozen, must be found among the rest.
      const choosy = [
        [(recipe: SeasonRecipe) => !recipe.softToo, ({ arrival }: TakingColumn) => !arrival.soft, thawing],
        [(recipe: SeasonRecipe) => !recipe.frozenToo, ({ arrival }: TakingColumn) => !arrival.frozen, []],
        [
          (recipe: SeasonRecipe) => !recipe.softToo && !recipe.frozenToo,
          ({ arrival }: TakingColumn) => !arrival.soft && !arrival.frozen,
          [],
        ],
      ] as const;
      for (const [asks, fits, also] of choosy) {
        const asking = own.filter(({ recipe }) => asks(recipe));
        const fitting = takings.filter(fits);
        const isAll =
          asking.length === own.length && fitting.length === takings.length && also.length === thawing.length;
        if (asking.length > 0 && !isAll) writer.row(0, [...taken(fitting), ...also, ...needs(asking)], Infinity);
      }
    }
    // Only what has been frozen by then comes out of the freezer.
    const outs = this.thawed.filter((each) => each.crop === crop);
    for (const { day } of outs) {
      const until = outs.filter((other) => other.day.at <= day.at).map(({ column }): LinearTerm => [column, -1]);
      const into = inFreezer.filter(({ arrival }) => arrival.readyAt <= day.at);
      writer.row(0, [...into.map(({ frozen }): LinearTerm => [frozen ?? 0, 1]), ...until], Infinity);
    }
  }

  /** The freezer and the refrigerator hold only so much. */
  private addRoom(): void {
    const { writer, problem } = this;
    const rests = this.rests.flatMap(({ arrival, frozen }) =>
      frozen === undefined ? [] : [{ arrival, column: frozen }],
    );
    for (const { day } of this.days) {
      const frozen = rests
        .filter(({ arrival }) => arrival.readyAt <= day.at)
        .map(({ arrival, column }): LinearTerm => [column, arrival.bagsPerKg ?? 0]);
      const out = this.thawed
        .filter((each) => each.day.at < day.at)
        .map((each): LinearTerm => [each.column, -this.bagsPerKg(each.crop)]);
      if (frozen.length > 0) writer.row(-Infinity, [...frozen, ...out], problem.freezerBags);
      const cold = this.takings
        .filter((each) => coldOn(each.arrival, day, each.day))
        .map(({ column }): LinearTerm => [column, 1]);
      writer.row(-Infinity, cold, problem.refrigeratorKg);
    }
    // What comes after the last day is frozen too.
    const end = this.days.at(-1)?.day.at ?? -Infinity;
    if (!rests.some(({ arrival }) => arrival.readyAt > end)) return;
    const out = this.thawed.map((each): LinearTerm => [each.column, -this.bagsPerKg(each.crop)]);
    const all = rests.map(({ arrival, column }): LinearTerm => [column, arrival.bagsPerKg ?? 0]);
    writer.row(-Infinity, [...all, ...out], problem.freezerBags);
  }

  private bagsPerKg(crop: string): number {
    return this.problem.arrivals.find((each) => each.crop === crop && each.bagsPerKg !== undefined)?.bagsPerKg ?? 0;
  }

  /** Hands, canners and burners of each day. */
  private addHours(): void {
    const { writer, problem } = this;
    const canners = (recipe: SeasonRecipe) => recipe.vessels.map(({ canner }) => canner).sort();
    const canned = problem.recipes.filter(({ into }) => into === undefined);
    const sets = [...new Set(canned.map((recipe) => canners(recipe).join('|')))].map((set) => set.split('|'));
    for (const { day, column: given } of this.days) {
      const own = this.onDay(day);
      if (own.length === 0) continue;
      const hands = own.flatMap(({ recipe, begun, loads, jars }): LinearTerm[] => [
        [begun, recipe.hands.begin],
        [loads, recipe.hands.load],
        times(jars, recipe.hands.jar),
      ]);
      writer.row(-Infinity, [...hands, [given, -usableHands(day)]], 0);
      const canning = canningMinutes(
        problem,
        day,
        own.map(({ recipe }) => recipe),
      );
      for (const set of sets) {
        const inside = own.filter(({ recipe }) => !recipe.into && canners(recipe).every((id) => set.includes(id)));
        const minutes = inside.map(({ recipe, loads }): LinearTerm => [loads, recipe.cannerMinutes]);
        writer.row(-Infinity, [...minutes, [given, -Math.min(set.length, problem.cannerBurners) * canning]], 0);
      }
      const burning = own.map(({ recipe, loads }): LinearTerm => [loads, recipe.cannerMinutes + recipe.burnerMinutes]);
      writer.row(-Infinity, [...burning, [given, -problem.burners * day.windowMinutes]], 0);
    }
  }

  /** Jars made are the pieces of their goal, the worthiest first by themselves. */
  private addGoals(): SeasonModel['goals'] {
    return this.problem.goals.map((goal) => {
      const key = goalKey(goal);
      const pieces = worthPieces(goal).map(({ jars, points }) => this.writer.column(points, jars));
      const made = this.batches.filter(({ recipe }) => goalKey(recipe) === key).map(({ jars }) => times(jars, -1));
      // No more than wanted but for the rest of a pot, unless the household itself pinned more.
      const over = mostOver(this.problem, key);
      const counted = pieces.map((column): LinearTerm => [column, 1]);
      this.writer.row(over === 0 ? 0 : -Infinity, [...counted, ...made], 0);
      const most = Math.max(0, goal.want - goal.have) + over;
      if (over > 0 && over < Infinity) this.writer.row(-most, made, Infinity);
      if (over === 0) this.addWholeLoads(key, most);
      return { key, pieces };
    });
  }

  /**
   * So many jars take whole loads and whole beginnings: with what is left below the goal, the rounded number. It follows
   * from the rest for whole numbers and cuts off parts of loads. Mixed-integer rounding, Nemhauser and Wolsey 1990.
   */
  private addWholeLoads(key: string, most: number): void {
    const own = this.batches.filter(({ recipe }) => goalKey(recipe) === key);
    const cut = (size: number, columnOf: (batch: BatchColumns) => number) => {
      const count = Math.ceil(most / size - 1e-9);
      const rest = most - size * (count - 1);
      if (count < 1 || rest >= size) return;
      const whole = own.map((batch): LinearTerm => [columnOf(batch), rest]);
      this.writer.row(rest * count - most, [...whole, ...own.map(({ jars }) => times(jars, -1))], Infinity);
    };
    if (own.length === 0 || most === 0) return;
    cut(Math.max(...own.map(({ recipe }) => recipe.perLoad)), ({ loads }) => loads);
    cut(Math.max(...own.map((batch) => batch.most)), ({ begun }) => begun);
  }

  private addStock(): void {
    for (const { key, have, toBeHad } of this.problem.stock) {
      const using = this.batches.filter(({ recipe }) => recipe.stock.includes(key));
      if (using.length === 0) continue;
      const bought = this.writer.column(-COSTS.bought, toBeHad ? Infinity : 0);
      this.writer.row(-Infinity, [...using.map(({ jars }) => jars), [bought, -1]], Math.max(0, have));
      this.bought.push({ key, column: bought });
    }
  }

  /** Peels, cores and thin juice are used on the day they fall off. */
  private addByProducts(): void {
    for (const { day } of this.days) {
      const own = this.onDay(day);
      for (const kind of ['thin juice', 'peels and cores'] as const) {
        const taking = own.filter(({ recipe }) => recipe.takes?.kind === kind);
        if (taking.length === 0) continue;
        const giving = own.filter(({ recipe }) => recipe.gives?.kind === kind);
        const given = giving.map(({ recipe, jars }) => times(jars, recipe.gives?.perJar ?? 0));
        const taken = taking.map(({ recipe, jars }) => times(jars, -(recipe.takes?.perJar ?? 0)));
        this.writer.row(0, [...given, ...taken], Infinity);
      }
    }
  }

  private addCuts(): void {
    for (const cut of this.problem.cuts) {
      for (const { day } of this.days.filter((each) => each.day.windowMinutes <= cut.windowMinutes)) {
        const { before } = cut;
        const night = before && this.days.find((each) => daysBetween(each.day.id, day.id) === 1)?.day;
        if (before && (!night || night.windowMinutes > before.windowMinutes)) continue;
        const own = [this.allThere(day, cut.loads), night && before ? this.allThere(night, before.loads) : []];
        // Where one of them cannot be there at all, they are not all there.
        const all = own.flatMap((terms) => terms ?? []);
        if (!own.includes(undefined)) this.writer.row(-Infinity, all, all.length - 1);
      }
    }
  }

  /** Columns that are all 1 where a day has so many loads; undefined where it cannot have them. */
  private allThere(day: SeasonDay, loads: SeasonCut['loads']): LinearTerm[] | undefined {
    const own = loads.map(({ recipe, loads: count }) => {
      const batch = this.onDay(day).find((each) => each.recipe.id === recipe);
      return batch && batch.mostLoads >= count ? { batch, count } : undefined;
    });
    if (own.includes(undefined)) return undefined;
    return own.flatMap((each): LinearTerm[] => (each ? [[this.atLeast(each.batch, each.count), 1]] : []));
  }

  /** A column that is 1 where a batch has so many loads or more. */
  private atLeast(batch: BatchColumns, count: number): number {
    const { begun, loads, mostLoads } = batch;
    if (count <= 1) return begun;
    const known = this.reached.find((each) => each.batch === batch && each.count === count);
    if (known) return known.column;
    const reached = this.writer.column(0, 1, true);
    this.reached.push({ batch, count, column: reached });
    this.writer.row(
      -Infinity,
      [
        [loads, 1],
        [reached, -(mostLoads - count + 1)],
      ],
      count - 1,
    );
    return reached;
  }
}

function times([column, factor]: LinearTerm, by: number): LinearTerm {
  return [column, factor * by];
}

function kgPerJar(recipe: SeasonRecipe, crop: string): number | undefined {
  return recipe.crops.find((share) => share.crop === crop)?.kgPerJar;
}
