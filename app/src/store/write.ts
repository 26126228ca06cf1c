import { type CheckRequest } from '@hoddle/contract/checkedRow';
import { type Household } from '@hoddle/contract/household';
import { type HouseholdState } from '@hoddle/contract/householdState';
import { type Batch } from '@hoddle/core/day/batch';
import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { loadState } from '@hoddle/core/kitchen/loadState';
import { type Movement } from '@hoddle/core/pantry/jarLot';
import { sealCheck } from '@hoddle/core/pantry/sealCheck';
import { type HouseholdSource } from '@hoddle/core/process/householdSource';

/** Something entered here that the server is to keep. It can be sent twice without harm. */
export type Write =
  | { kind: 'household'; household: Household }
  | { kind: 'pick'; pick: HarvestPick }
  | { kind: 'pick-struck'; pickId: string }
  | { kind: 'batch'; batch: Batch }
  | { kind: 'batch-struck'; batchId: string }
  | { kind: 'event'; event: KitchenEvent }
  | { kind: 'movement'; movement: Movement }
  | { kind: 'row-checked'; check: CheckRequest }
  | { kind: 'source'; source: HouseholdSource }
  | { kind: 'source-struck'; sourceId: string };

export interface WriteRequest {
  readonly method: 'PUT' | 'POST' | 'DELETE';
  readonly path: string;
  readonly body?: object;
}

/** How a write goes to the server. */
export function requestOf(write: Write): WriteRequest {
  switch (write.kind) {
    case 'household':
      return { method: 'PUT', path: '/household', body: write.household };
    case 'pick':
      return { method: 'POST', path: '/picks', body: write.pick };
    case 'pick-struck':
      return { method: 'DELETE', path: `/picks/${write.pickId}` };
    case 'batch':
      return { method: 'POST', path: '/batches', body: write.batch };
    case 'batch-struck':
      return { method: 'DELETE', path: `/batches/${write.batchId}` };
    case 'event':
      return { method: 'POST', path: '/kitchen/events', body: write.event };
    case 'movement':
      return { method: 'POST', path: '/movements', body: write.movement };
    case 'row-checked':
      return { method: 'PUT', path: '/checked-rows', body: write.check };
    case 'source':
      return { method: 'POST', path: '/sources', body: write.source };
    case 'source-struck':
      return { method: 'DELETE', path: `/sources/${write.sourceId}` };
  }
}

/** The state as it will be once the server has kept the write, so that a tap shows at once, with or without signal. */
export function applyWrite(state: HouseholdState, write: Write): HouseholdState {
  switch (write.kind) {
    case 'household':
      return { ...state, household: write.household };
    case 'pick':
      return { ...state, picks: withRow(state.picks, write.pick) };
    case 'pick-struck':
      return { ...state, picks: state.picks.filter((pick) => pick.id !== write.pickId) };
    case 'batch':
      return { ...state, batches: withRow(state.batches as Batch[], write.batch) as HouseholdState['batches'] };
    case 'batch-struck':
      return { ...state, batches: state.batches.filter((batch) => batch.id !== write.batchId) };
    case 'event':
      return withEvent(state, write.event);
    case 'movement':
      return { ...state, movements: withRow(state.movements, write.movement) };
    case 'row-checked':
      return { ...state, checkedRows: withMark(state.checkedRows, write.check) };
    case 'source':
      return {
        ...state,
        sources: withRow(state.sources as HouseholdSource[], write.source) as HouseholdState['sources'],
      };
    case 'source-struck':
      return { ...state, sources: state.sources.filter(({ id }) => id !== write.sourceId) };
  }
}

function withRow<Row extends { id: string }>(rows: readonly Row[], row: Row): Row[] {
  return [...rows.filter(({ id }) => id !== row.id), row];
}

function withMark(rows: HouseholdState['checkedRows'], { rowId, checkedOn }: CheckRequest) {
  const others = rows.filter((row) => row.rowId !== rowId);
  return checkedOn === null ? others : [...others, { rowId, checkedOn }];
}

function withEvent(state: HouseholdState, event: KitchenEvent): HouseholdState {
  const events = withRow(state.events as KitchenEvent[], event) as HouseholdState['events'];
  const batch = state.batches.find(({ loads }) => loads.some((load) => load.id === event.loadId)) as Batch | undefined;
  const load = batch?.loads.find((candidate) => candidate.id === event.loadId);
  if (event.type !== 'seal-checked' || !batch || !load) return { ...state, events };
  const earlier = (state.events as KitchenEvent[]).filter((told) => told.loadId === load.id && told.id !== event.id);
  const before = loadState({ jars: load.jars, processMinutes: batch.processMinutes }, earlier);
  const { lots, movements } = sealCheck(batch, before, event);
  return {
    ...state,
    events,
    lots: lots.reduce<HouseholdState['lots']>(withRow, state.lots),
    movements: movements.reduce<HouseholdState['movements']>(withRow, state.movements),
  };
}

/** A write in a few words, for the tag that waits on the line. */
export function wordsOf(write: Write): string {
  switch (write.kind) {
    case 'household':
      return 'the kitchen';
    case 'pick':
      return write.pick.told;
    case 'pick-struck':
      return 'a pick struck out';
    case 'batch':
      return 'a batch';
    case 'batch-struck':
      return 'a batch given up';
    case 'event':
      return write.event.type.replaceAll('-', ' ');
    case 'movement':
      return write.movement.kind === 'taken'
        ? `took ${write.movement.jars}`
        : `${write.movement.kind} ${write.movement.jars}`;
    case 'row-checked':
      return write.check.checkedOn === null ? 'a mark taken back' : 'a row checked';
    case 'source':
      return write.source.title;
    case 'source-struck':
      return 'a source struck out';
  }
}
