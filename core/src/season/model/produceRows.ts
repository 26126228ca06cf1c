import { keptFor } from '../problem/keepingWindow';
import { type Arrival, type SeasonDay, type SeasonRecipe } from '../problem/seasonProblem';
import { COSTS } from '../problem/seasonWorth';
import { type LinearTerm } from './linearModel';
import { type BatchColumns, kgPerJar, once, type SeasonDraft, type TakingColumn, times } from './seasonColumns';

/** What comes is taken, frozen or left; what a day makes is taken on it. */
export function writeProduce(draft: SeasonDraft): void {
  const { problem, batches } = draft;
  const cropsOf = ({ recipe }: BatchColumns) => recipe.crops.map(({ crop }) => crop as string);
  const used = new Set(batches.flatMap(cropsOf));
  const frozenToo = new Set(batches.filter(({ recipe }) => recipe.frozenToo).flatMap(cropsOf));
  for (const arrival of problem.arrivals) writeArrival(draft, arrival, used);
  for (const crop of used) writeCrop(draft, crop, frozenToo.has(crop));
  tieTakings(draft);
}

/** An arrival is all gone in the end: on the days it keeps for, into the freezer, or left. */
function writeArrival(draft: SeasonDraft, arrival: Arrival, used: ReadonlySet<string>): void {
  const { writer, days } = draft;
  const left = writer.column(-COSTS.lostKg, arrival.massKg);
  const canFreeze = arrival.bagsPerKg !== undefined && !arrival.frozen;
  const frozen = canFreeze ? writer.column(-COSTS.frozenKg, arrival.massKg) : undefined;
  const takings = days.flatMap(({ day }): TakingColumn[] => {
    const from = keptFor(arrival, day);
    if (from === undefined || !used.has(arrival.crop) || !isAskedFor(draft, arrival, day)) return [];
    return [{ day, arrival, from, column: writer.column(0, arrival.massKg) }];
  });
  draft.takings.push(...takings);
  const parts = [left, ...(frozen === undefined ? [] : [frozen])].map((column): LinearTerm => [column, 1]);
  writer.row(arrival.massKg, [...parts, ...once(takings)], arrival.massKg);
  draft.remainders.push({ arrival, ...(frozen !== undefined && { frozen }), left });
}

function isAskedFor(draft: SeasonDraft, arrival: Arrival, day: SeasonDay): boolean {
  return draft
    .onDay(day)
    .some(
      ({ recipe }) =>
        (recipe.softToo || !arrival.soft) &&
        (recipe.frozenToo || !arrival.frozen) &&
        recipe.crops.some(({ crop }) => crop === arrival.crop),
    );
}

/** What the products of a day hold of a crop is taken on it, or thawed for it. */
function writeCrop(draft: SeasonDraft, crop: string, thaws: boolean): void {
  const { writer, days, remainders, thawed } = draft;
  const inFreezer = remainders.filter(({ arrival, frozen }) => arrival.crop === crop && frozen !== undefined);
  const ofCrop = (day: SeasonDay) =>
    draft.onDay(day).filter(({ recipe }) => recipe.crops.some((share) => share.crop === crop));
  for (const { day } of days) {
    const own = ofCrop(day);
    if (own.length === 0) continue;
    const takings = draft.takings.filter((each) => each.day === day && each.arrival.crop === crop);
    const canThaw = thaws && day.quiet && inFreezer.length > 0 && own.some(({ recipe }) => recipe.frozenToo);
    const out = canThaw ? [{ day, crop, column: writer.column(0, Infinity) }] : [];
    thawed.push(...out);
    const needs = (batches: readonly BatchColumns[]) =>
      batches.map(({ recipe, jars }) => times(jars, -(kgPerJar(recipe, crop) ?? 0)));
    writer.row(0, [...once(takings), ...once(out), ...needs(own)], 0);
    for (const { asks, fits, thawedToo } of CHOOSY) {
      const asking = own.filter(({ recipe }) => asks(recipe));
      const fitting = takings.filter(({ arrival }) => fits(arrival));
      const also = thawedToo ? out : [];
      const isAll = asking.length === own.length && fitting.length === takings.length && also.length === out.length;
      if (asking.length > 0 && !isAll) writer.row(0, [...once(fitting), ...once(also), ...needs(asking)], Infinity);
    }
  }
  // Only what has been frozen by then comes out of the freezer.
  const outs = thawed.filter((each) => each.crop === crop);
  for (const { day } of outs) {
    const until = outs.filter((other) => other.day.at <= day.at).map(({ column }): LinearTerm => [column, -1]);
    const into = inFreezer.filter(({ arrival }) => arrival.readyAt <= day.at);
    writer.row(0, [...into.map(({ frozen }): LinearTerm => [frozen ?? 0, 1]), ...until], Infinity);
  }
}

/** What may not be soft, and what may not have been frozen, must be found among the rest. */
const CHOOSY: readonly {
  readonly asks: (recipe: SeasonRecipe) => boolean;
  readonly fits: (arrival: Arrival) => boolean;
  readonly thawedToo?: boolean;
}[] = [
  { asks: ({ softToo }) => !softToo, fits: ({ soft }) => !soft, thawedToo: true },
  { asks: ({ frozenToo }) => !frozenToo, fits: ({ frozen }) => !frozen },
  { asks: ({ softToo, frozenToo }) => !softToo && !frozenToo, fits: ({ soft, frozen }) => !soft && !frozen },
];

/**
 * Nothing is taken on a day that is not given, nor for a crop of which nothing is begun. It follows from the rest, and
 * says it of each arrival: the relaxation may not begin a tenth of a product to use up one week's picking.
 */
function tieTakings(draft: SeasonDraft): void {
  const { writer, days, takings } = draft;
  for (const { day, arrival, column } of takings) {
    const given = days.find((each) => each.day === day);
    const own = draft.onDay(day).filter(({ recipe }) => recipe.crops.some(({ crop }) => crop === arrival.crop));
    // No more of it than the most of that product takes.
    const begun = own.map(({ recipe, begun: of, most }): LinearTerm => {
      return [of, -Math.min(arrival.massKg, most * (kgPerJar(recipe, arrival.crop) ?? 0))];
    });
    writer.row(-Infinity, [[column, 1], ...begun], 0);
    const taken: LinearTerm = [column, 1];
    if (given && own.length > 1) writer.row(-Infinity, [taken, [given.column, -arrival.massKg]], 0);
  }
}
