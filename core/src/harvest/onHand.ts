import { type ProduceId } from '../handbook/produce';
import { fuseDays, keepsDays, type LotRipeness, THAWED_DAYS } from './keeping';
import { isProduceStill, leftKeepsDays } from './leftBehind';
import { type LeftOf } from './leftOf';
import { type LotChange, type LotPart } from './lotChange';
import { type Pick, type PickUse, type Place } from './pick';

/** Produce of one pick, one ripeness and one place that is still there. */
export interface Lot {
  readonly pickId: string;
  readonly crop: ProduceId;
  readonly part: LotPart;
  readonly ripeness: LotRipeness;
  readonly massKg: number;
  readonly place: Place;
  /** Since when it stands there, epoch milliseconds. */
  readonly since: number;
  /** Length of its fuse in that place; a soft lot starts later on it. */
  readonly keepsDays: number;
  /** Epoch milliseconds. */
  readonly until: number;
  /** Was frozen: its water is lost at once, and it is used within a day. */
  readonly thawed: boolean;
  /** What a batch left behind. */
  readonly of?: LeftOf;
}

/** A batch's use, with the time the batch begins. Without one it counts as the last thing that happened. */
export type TimedUse = PickUse & { readonly at?: number };

/** What is left below this is a rounding remainder of pounds and kilograms. */
const ROUNDED_KG = 0.005;

const DAY_MS = 24 * 60 * 60_000;

/** A lot while its history is told. `life` is the part of its days that it still had when it came to its place. */
interface Telling {
  readonly pick: Pick;
  part: LotPart;
  place: Place;
  since: number;
  life: number;
  thawed: boolean;
  massKg: number;
}

/** What batches left behind and is still there, the next to spoil first: ingredients, and no produce of its crop any more. */
export function leftBehind(
  picks: readonly Pick[],
  uses: readonly TimedUse[],
  changes: readonly LotChange[] = [],
): Lot[] {
  return lotsOf(
    picks.filter(({ of }) => !isProduceStill(of)),
    uses,
    changes,
  );
}

/**
 * The produce that is still on hand, the next to spoil first: what came in, less what ended and what batches took, each part where it
 * was last carried to. A lot that is carried keeps the part of its life it still had: half of four days on the counter is
 * half of fourteen in the refrigerator (common practice).
 */
export function onHand(picks: readonly Pick[], uses: readonly TimedUse[], changes: readonly LotChange[] = []): Lot[] {
  return lotsOf(
    picks.filter(({ of }) => isProduceStill(of)),
    uses,
    changes,
  );
}

function lotsOf(picks: readonly Pick[], uses: readonly TimedUse[], changes: readonly LotChange[]): Lot[] {
  return tell(picks, uses, changes)
    .lots.filter((lot) => lot.massKg > ROUNDED_KG)
    .map(lotOf)
    .sort((a, b) => a.until - b.until || b.massKg - a.massKg);
}

/**
 * How much more has been taken than was there, in kilograms, after all changes and batches: 0 when the books are right.
 * What is overdrawn is taken from nothing, so that no lot is ever below none.
 */
export function overdrawnKg(picks: readonly Pick[], uses: readonly TimedUse[], changes: readonly LotChange[]): number {
  return tell(picks, uses, changes).overdrawnKg;
}

function tell(
  picks: readonly Pick[],
  uses: readonly TimedUse[],
  changes: readonly LotChange[],
): { lots: Telling[]; overdrawnKg: number } {
  const lots = picks.flatMap((pick) => [arrived(pick, 'soft'), arrived(pick, 'sound')]);
  const told = [
    ...changes.map((change) => ({ at: change.at, run: () => applyChange(lots, change) })),
    ...uses.map((use) => ({ at: use.at ?? Infinity, run: () => applyUse(lots, use) })),
  ].sort((a, b) => (a.at === b.at ? 0 : a.at - b.at));
  return { lots, overdrawnKg: told.reduce((sum, { run }) => sum + run(), 0) };
}

function arrived(pick: Pick, part: LotPart): Telling {
  const massKg = part === 'soft' ? pick.softKg : pick.massKg - pick.softKg;
  return { pick, part, place: pick.place, since: pick.pickedAt, life: 1, thawed: false, massKg };
}

/** What is missing of the change, in kilograms. */
function applyChange(lots: Telling[], { pickId, part, from, kind, to, massKg, at }: LotChange): number {
  let missingKg = massKg;
  for (const lot of lots.filter((each) => each.pick.id === pickId && each.part === part && each.place === from)) {
    const takenKg = Math.min(lot.massKg, missingKg);
    if (takenKg <= 0) continue;
    missingKg -= takenKg;
    const carried = { ...lot, massKg: takenKg };
    lot.massKg -= takenKg;
    if (kind === 'moved' && to !== null) lots.push(carriedTo(carried, to, at));
    if (kind === 'softened') lots.push({ ...carried, part: 'soft', since: at, life: 1 });
  }
  return missingKg;
}

function carriedTo(lot: Telling, place: Place, at: number): Telling {
  const fromFreezer = lot.place === 'freezer' && place !== 'freezer';
  const left = lifeLeft(lot, at);
  // Freezing stops the clock and thawing leaves a day, whatever was left before; what is past its time stays so.
  const life = left > 0 && (fromFreezer || place === 'freezer') ? 1 : left;
  return { ...lot, place, since: at, life, thawed: lot.thawed || fromFreezer };
}

function lifeLeft(lot: Telling, at: number): number {
  return Math.max(0, lot.life - Math.max(0, at - lot.since) / (daysOf(lot) * DAY_MS));
}

function daysOf({ pick, part, place, thawed }: Telling): number {
  const isLeft = pick.of && pick.of.kind !== 'soft-fruit';
  const days = isLeft
    ? leftKeepsDays(pick.of.kind, place)
    : keepsDays(pick.crop, part === 'soft' ? 'soft' : pick.ripeness, place);
  return thawed && place !== 'freezer' ? Math.min(days, THAWED_DAYS) : days;
}

/** Batches take the next to spoil of what they were planned with. */
function applyUse(lots: readonly Telling[], use: TimedUse): number {
  return (
    take(lots, use.pickId, 'soft', use.softKg) + take(lots, use.pickId, 'sound', Math.max(0, use.massKg - use.softKg))
  );
}

function take(lots: readonly Telling[], pickId: string, part: LotPart, massKg: number): number {
  let missingKg = massKg;
  const own = lots.filter((lot) => lot.pick.id === pickId);
  // What was sound when the batch was planned may have been sorted out as soft since; it is taken all the same.
  const inOrder = [...own].sort((a, b) => Number(a.part !== part) - Number(b.part !== part) || untilOf(a) - untilOf(b));
  for (const lot of inOrder) {
    const takenKg = Math.min(lot.massKg, missingKg);
    if (takenKg <= 0) continue;
    lot.massKg -= takenKg;
    missingKg -= takenKg;
  }
  return missingKg;
}

function fuseOf(lot: Telling): number {
  const { pick, place, thawed } = lot;
  if (!isProduceStill(pick.of)) return daysOf(lot);
  return thawed && place !== 'freezer' ? THAWED_DAYS : fuseDays(pick.crop, place);
}

function untilOf(lot: Telling): number {
  return lot.since + lot.life * daysOf(lot) * DAY_MS;
}

function lotOf(lot: Telling): Lot {
  const { pick, part, place, since, massKg, thawed } = lot;
  return {
    pickId: pick.id,
    crop: pick.crop,
    part,
    ripeness: part === 'soft' ? 'soft' : pick.ripeness,
    massKg,
    place,
    since,
    keepsDays: fuseOf(lot),
    until: untilOf(lot),
    thawed,
    ...(pick.of && { of: pick.of }),
  };
}
