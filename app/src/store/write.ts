import { type CheckRequest } from '@hoddle/contract/checkedRow';
import { type JarsIn } from '@hoddle/contract/jarLot';
import { type Household } from '@hoddle/contract/household';
import { type HouseholdState } from '@hoddle/contract/householdState';
import { type Batch } from '@hoddle/core/day/batch';
import { hostOf } from '@hoddle/core/day/sharedLoad';
import { type LotChange } from '@hoddle/core/harvest/lotChange';
import { type OwnMeasure } from '@hoddle/core/harvest/ownMeasure';
import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { type GardenLook, type Planting } from '@hoddle/core/harvest/planting';
import { batchesNow } from '@hoddle/core/kitchen/batchesNow';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { type LoadCurve } from '@hoddle/core/kitchen/loadCurve';
import { type Movement } from '@hoddle/core/pantry/jarLot';
import { jarsStored, movesJars } from '@hoddle/core/pantry/jarsStored';
import { type ShelfGoal } from '@hoddle/core/pantry/shelfGoal';
import { type HardwareMove } from '@hoddle/core/supplies/hardware';
import { type BatchRecord } from '@hoddle/core/yields/batchRecord';
import { type DaysGiven } from '@hoddle/core/season/problem/givenDays';
import { type SeasonPin } from '@hoddle/core/season/problem/seasonProblem';
import { type SeasonReport } from '@hoddle/core/season/report/seasonReport';
import { type HouseholdSource } from '@hoddle/core/process/householdSource';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { withGoal, withHardwareMove, withJarsIn, withMovement, withNewLots, withRow } from './pantryWrites';
import { pagesOf } from './pagesOf';

/** Something entered here that the server is to keep. It can be sent twice without harm. */
export type Write =
  | { kind: 'household'; household: Household }
  | { kind: 'pick'; pick: HarvestPick }
  | { kind: 'pick-struck'; pickId: string }
  | { kind: 'pick-corrected'; pick: HarvestPick }
  | { kind: 'lot-change'; change: LotChange }
  | { kind: 'lot-change-struck'; changeId: string }
  | { kind: 'planting'; planting: Planting }
  | { kind: 'planting-struck'; plantingId: string }
  | { kind: 'look'; look: GardenLook }
  | { kind: 'look-struck'; lookId: string }
  | { kind: 'own-measure'; measure: OwnMeasure }
  | { kind: 'batch-record'; record: BatchRecord }
  | { kind: 'batch-record-struck'; recordId: string }
  | { kind: 'batch'; batch: Batch }
  | { kind: 'batch-struck'; batchId: string }
  | { kind: 'event'; event: KitchenEvent }
  | { kind: 'day-event'; event: DayEvent }
  | { kind: 'movement'; movement: Movement }
  | { kind: 'jars-in'; jars: JarsIn }
  | { kind: 'goal'; goal: ShelfGoal }
  | { kind: 'hardware-move'; move: HardwareMove }
  | { kind: 'season-days'; days: DaysGiven }
  | { kind: 'season-plan'; plan: SeasonReport | null; pins: readonly SeasonPin[] }
  | { kind: 'shopping-tick'; key: string; ticked: boolean }
  | { kind: 'row-checked'; check: CheckRequest }
  | { kind: 'source'; source: HouseholdSource }
  | { kind: 'source-struck'; sourceId: string }
  | { kind: 'recipe'; recipe: OwnRecipe }
  | { kind: 'recipe-struck'; recipeId: string };

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
    case 'pick-corrected':
      return { method: 'PUT', path: `/picks/${write.pick.id}`, body: write.pick };
    case 'lot-change':
      return { method: 'POST', path: '/lot-changes', body: write.change };
    case 'lot-change-struck':
      return { method: 'DELETE', path: `/lot-changes/${write.changeId}` };
    case 'planting':
      return { method: 'PUT', path: `/plantings/${write.planting.id}`, body: write.planting };
    case 'planting-struck':
      return { method: 'DELETE', path: `/plantings/${write.plantingId}` };
    case 'look':
      return { method: 'POST', path: '/garden-looks', body: write.look };
    case 'look-struck':
      return { method: 'DELETE', path: `/garden-looks/${write.lookId}` };
    case 'own-measure':
      return { method: 'PUT', path: '/own-measures', body: write.measure };
    case 'batch-record':
      return { method: 'POST', path: '/batch-records', body: write.record };
    case 'batch-record-struck':
      return { method: 'DELETE', path: `/batch-records/${write.recordId}` };
    case 'batch':
      return { method: 'POST', path: '/batches', body: write.batch };
    case 'batch-struck':
      return { method: 'DELETE', path: `/batches/${write.batchId}` };
    case 'event':
      return { method: 'POST', path: '/kitchen/events', body: write.event };
    case 'day-event':
      return { method: 'POST', path: '/kitchen/day-events', body: write.event };
    case 'movement':
      return { method: 'POST', path: '/movements', body: write.movement };
    case 'jars-in':
      return { method: 'POST', path: '/jars-in', body: write.jars };
    case 'goal':
      return { method: 'PUT', path: '/goals', body: write.goal };
    case 'hardware-move':
      return { method: 'POST', path: '/hardware-moves', body: write.move };
    case 'season-days':
      return { method: 'PUT', path: '/season-days', body: write.days };
    case 'season-plan':
      return { method: 'PUT', path: '/season-plan', body: { plan: write.plan, pins: write.pins } };
    case 'shopping-tick':
      return { method: 'PUT', path: '/shopping-ticks', body: { key: write.key, ticked: write.ticked } };
    case 'row-checked':
      return { method: 'PUT', path: '/checked-rows', body: write.check };
    case 'source':
      return { method: 'POST', path: '/sources', body: write.source };
    case 'source-struck':
      return { method: 'DELETE', path: `/sources/${write.sourceId}` };
    case 'recipe':
      return { method: 'PUT', path: `/recipes/${write.recipe.id}`, body: write.recipe };
    case 'recipe-struck':
      return { method: 'DELETE', path: `/recipes/${write.recipeId}` };
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
    case 'pick-corrected':
      return { ...state, picks: withRow(state.picks, write.pick) };
    case 'lot-change':
      return { ...state, lotChanges: withRow(state.lotChanges, write.change) };
    case 'lot-change-struck':
      return { ...state, lotChanges: state.lotChanges.filter(({ id }) => id !== write.changeId) };
    case 'planting':
      return { ...state, plantings: withRow(state.plantings, write.planting) };
    case 'planting-struck':
      return {
        ...state,
        plantings: state.plantings.filter(({ id }) => id !== write.plantingId),
        gardenLooks: state.gardenLooks.filter(({ plantingId }) => plantingId !== write.plantingId),
      };
    case 'look':
      return { ...state, gardenLooks: withRow(state.gardenLooks, write.look) };
    case 'look-struck':
      return { ...state, gardenLooks: state.gardenLooks.filter(({ id }) => id !== write.lookId) };
    case 'own-measure':
      return { ...state, ownMeasures: withMeasure(state.ownMeasures, write.measure) };
    case 'batch-record':
      return {
        ...state,
        batchRecords: withRow(state.batchRecords as BatchRecord[], write.record) as HouseholdState['batchRecords'],
      };
    case 'batch-record-struck':
      return { ...state, batchRecords: state.batchRecords.filter(({ id }) => id !== write.recordId) };
    case 'batch':
      return { ...state, batches: withRow(state.batches as Batch[], write.batch) as HouseholdState['batches'] };
    case 'batch-struck':
      return { ...state, batches: state.batches.filter((batch) => batch.id !== write.batchId) };
    case 'event':
      return withEvent(state, write.event);
    case 'day-event':
      return {
        ...state,
        dayEvents: withRow(state.dayEvents as DayEvent[], write.event) as HouseholdState['dayEvents'],
      };
    case 'movement':
      return withMovement(state, write.movement);
    case 'jars-in':
      return withJarsIn(state, write.jars);
    case 'goal':
      return { ...state, goals: withGoal(state.goals, write.goal) };
    case 'hardware-move':
      return withHardwareMove(state, write.move);
    case 'season-days':
      return withSeason(state, { days: write.days as HouseholdState['season']['days'] });
    case 'season-plan': {
      const { plan, pins } = write as unknown as HouseholdState['season'];
      return withSeason(state, { plan, pins });
    }
    case 'shopping-tick': {
      const others = state.season.ticked.filter((key) => key !== write.key);
      return withSeason(state, { ticked: write.ticked ? [...others, write.key].sort() : others });
    }
    case 'row-checked':
      return { ...state, checkedRows: withMark(state.checkedRows, write.check) };
    case 'source':
      return {
        ...state,
        sources: withRow(state.sources as HouseholdSource[], write.source) as HouseholdState['sources'],
      };
    case 'source-struck':
      return { ...state, sources: state.sources.filter(({ id }) => id !== write.sourceId) };
    case 'recipe':
      return { ...state, recipes: withPage(state.recipes, write.recipe) as HouseholdState['recipes'] };
    case 'recipe-struck':
      return { ...state, recipes: state.recipes.filter(({ id }) => id !== write.recipeId) };
  }
}

function withSeason(state: HouseholdState, part: Partial<HouseholdState['season']>): HouseholdState {
  return { ...state, season: { ...state.season, ...part } };
}

/** Every page of a recipe stays: what was made by an older one keeps it. */
function withPage(pages: readonly OwnRecipe[], page: OwnRecipe): OwnRecipe[] {
  return [...pages.filter(({ id, revision }) => id !== page.id || revision !== page.revision), page];
}

function withMeasure(measures: HouseholdState['ownMeasures'], measure: OwnMeasure) {
  const others = measures.filter((each) => each.crop !== measure.crop || each.measure !== measure.measure);
  return [...others, measure];
}

function withMark(rows: HouseholdState['checkedRows'], { rowId, checkedOn }: CheckRequest) {
  const others = rows.filter((row) => row.rowId !== rowId);
  return checkedOn === null ? others : [...others, { rowId, checkedOn }];
}

function withEvent(state: HouseholdState, event: KitchenEvent): HouseholdState {
  const events = withRow(state.events as KitchenEvent[], event) as HouseholdState['events'];
  if (!movesJars(event)) return { ...state, events };
  const batches = batchesNow(state.batches, state.dayEvents, events, {
    altitudeFt: state.household.altitudeFt,
    pages: pagesOf(state),
  });
  const batch = batches.find(({ loads }) => loads.some((load) => load.id === event.loadId));
  const load = batch?.loads.find((candidate) => candidate.id === event.loadId);
  if (!batch || !load) return { ...state, events };
  const host = hostOf(load, batches)?.load.id ?? load.id;
  const curve = (state.curves as LoadCurve[]).find(({ id }) => id === host);
  const ground = { batches, events: state.events as KitchenEvent[], curve, recipes: state.recipes as OwnRecipe[] };
  // What the server will not take moves no jar here either: it stays among what was entered, and is told with its reason.
  const stored = jarsStored(event, { batch, load }, ground);
  if (stored?.kind !== 'stored') return { ...state, events };
  return withNewLots({ ...state, events }, stored.lots, stored.movements);
}

function movementWords({ kind, jars }: Movement): string {
  if (kind === 'undone') return 'undone';
  return kind === 'taken' ? `took ${jars}` : `${kind} ${jars}`;
}

const LOT_CHANGE_WORDS: Readonly<Record<LotChange['kind'], string>> = {
  eaten: 'eaten fresh',
  'given-away': 'given away',
  fed: 'fed to animals',
  composted: 'composted',
  lost: 'lost',
  moved: 'carried elsewhere',
  softened: 'sorted out as soft',
};

/** A write in a few words, for the tag that waits on the line. */
export function wordsOf(write: Write): string {
  switch (write.kind) {
    case 'household':
      return 'the kitchen';
    case 'pick':
      return write.pick.told;
    case 'pick-struck':
      return 'a pick struck out';
    case 'pick-corrected':
      return 'a pick corrected';
    case 'lot-change':
      return LOT_CHANGE_WORDS[write.change.kind];
    case 'lot-change-struck':
      return 'a change of a lot taken back';
    case 'planting':
      return write.planting.name;
    case 'planting-struck':
      return 'a bed struck out';
    case 'look':
      return write.look.kind === 'finished' ? 'a bed is done' : 'nothing ripe';
    case 'look-struck':
      return 'a look taken back';
    case 'own-measure':
      return `one ${write.measure.measure}`;
    case 'batch-record':
      return 'what a batch made';
    case 'batch-record-struck':
      return 'a batch’s jars struck out';
    case 'batch':
      return 'a batch';
    case 'batch-struck':
      return 'a batch given up';
    case 'event':
    case 'day-event':
      return write.event.type.replaceAll('-', ' ');
    case 'movement':
      return movementWords(write.movement);
    case 'jars-in':
      return write.jars.rows.length === 1 ? 'jars put on the shelf' : `${write.jars.rows.length} rows of jars`;
    case 'goal':
      return 'what is wanted';
    case 'hardware-move':
      return write.move.kind === 'jar' ? 'empty jars' : `${write.move.kind.replace('-', ' ')}s`;
    case 'season-days':
      return 'the days given';
    case 'season-plan':
      return 'the season’s plan';
    case 'shopping-tick':
      return 'the shopping list';
    case 'row-checked':
      return write.check.checkedOn === null ? 'a mark taken back' : 'a row checked';
    case 'source':
      return write.source.title;
    case 'source-struck':
      return 'a source struck out';
    case 'recipe':
      return write.recipe.name === '' ? 'a recipe' : write.recipe.name;
    case 'recipe-struck':
      return 'a recipe struck out';
  }
}
