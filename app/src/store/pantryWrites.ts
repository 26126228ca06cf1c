import { type HouseholdState } from '@hoddle/contract/householdState';
import { type JarsIn } from '@hoddle/contract/jarLot';
import { arrivalOf } from '@hoddle/core/pantry/arrival';
import { hardwareChanges, withChanges } from '@hoddle/core/pantry/hardwareStock';
import { type JarLot, type Movement } from '@hoddle/core/pantry/jarLot';
import { lidsByLoad } from '@hoddle/core/pantry/lidsByLoad';
import { type ShelfGoal } from '@hoddle/core/pantry/shelfGoal';
import { HARDWARE_WAYS, hardwareKey, type HardwareMove } from '@hoddle/core/supplies/hardware';

/** The rows with one more, or that one anew. */
export function withRow<Row extends { id: string }>(rows: readonly Row[], row: Row): Row[] {
  return [...rows.filter(({ id }) => id !== row.id), row];
}

/** Jars that moved, with the lot they are in now; a movement that is there already changes nothing. */
export function withMovement(state: HouseholdState, movement: Movement): HouseholdState {
  if (state.movements.some(({ id }) => id === movement.id)) return state;
  const lot = state.lots.find(({ id }) => id === movement.lotId) as JarLot | undefined;
  const arrival = lot && arrivalOf(lot, movement, state.household.places);
  const isThere = state.lots.some(({ id }) => id === movement.intoLotId);
  const lots = arrival?.kind === 'lot' && !isThere ? [...state.lots, newLot(arrival.lot)] : state.lots;
  const movements = [...state.movements, movement] as HouseholdState['movements'];
  return { ...state, lots, movements, hardware: hardwareAfter(state, movement, lot) };
}

/** Lots that come to the shelf, each with its first movement. */
export function withNewLots(
  state: HouseholdState,
  lots: readonly JarLot[],
  movements: readonly Movement[],
): HouseholdState {
  const withLots = { ...state, lots: lots.map(newLot).reduce<HouseholdState['lots']>(withRow, state.lots) };
  return movements.reduce(withMovement, withLots);
}

/** Jars that stand on a shelf already; a lot that is there is left as it is. */
export function withJarsIn(state: HouseholdState, { rows, at }: JarsIn): HouseholdState {
  const known = new Set(state.lots.map(({ id }) => id));
  const fresh = rows.filter(({ lot }) => !known.has(lot.id));
  const movements = fresh.map(({ lot, jars }): Movement => ({ id: lot.id, lotId: lot.id, kind: 'stored', jars, at }));
  return {
    ...state,
    lots: [...state.lots, ...fresh.map(({ lot }) => newLot(lot))],
    movements: [...state.movements, ...(movements as HouseholdState['movements'])],
  };
}

/** One goal for a product and size. */
export function withGoal(goals: HouseholdState['goals'], goal: ShelfGoal): HouseholdState['goals'] {
  return [...goals.filter(({ product, jar }) => product !== goal.product || jar !== goal.jar), goal];
}

/** Jars, lids or bands into the drawer or out of it, and how many there are then. */
export function withHardwareMove(state: HouseholdState, move: HardwareMove): HouseholdState {
  if (state.hardwareMoves.some(({ id }) => id === move.id)) return state;
  const { kind, size, mouth, way, count } = move;
  const thing = { kind, ...(size !== undefined && { size }), mouth };
  const counted = state.hardware.some((other) => hardwareKey(other) === hardwareKey(thing));
  const hardware = counted ? state.hardware : [...state.hardware, { ...thing, count: 0 }];
  return {
    ...state,
    hardwareMoves: [...state.hardwareMoves, move],
    hardware: withChanges(hardware, [{ ...thing, by: HARDWARE_WAYS[way] * count }]),
  };
}

function newLot(lot: JarLot): HouseholdState['lots'][number] {
  return { ...lot, jarsBefore: lot.jarsBefore ?? 0 };
}

function hardwareAfter(state: HouseholdState, movement: Movement, lot: JarLot | undefined) {
  if (state.hardware.length === 0) return state.hardware;
  const undone = state.movements.find(({ id }) => id === movement.undoes) as Movement | undefined;
  const lids = lot ? lidsByLoad(state.events)(lot) : 'single-use';
  const changes = hardwareChanges(undone ?? movement, lot, lids, state.hardwareMoves);
  const sign = undone ? -1 : 1;
  return withChanges(
    state.hardware,
    changes.map((change) => ({ ...change, by: sign * change.by })),
  );
}
