import { batchFault } from '@hoddle/core/day/batchFault';
import { type BackupData } from '@hoddle/contract/backup';
import { type Batch } from '@hoddle/core/day/batch';
import { madeAs } from '@hoddle/core/day/madeAs';
import { layOwnPages } from '@hoddle/core/handbook/ownPages';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type JarLot, type Movement } from '@hoddle/core/pantry/jarLot';
import { Ledger } from '@hoddle/core/pantry/ledger';
import { checkHouseholdSource } from '@hoddle/core/process/checkHouseholdSource';
import { type HouseholdPages } from '@hoddle/core/process/findProcess';
import { type HouseholdSource } from '@hoddle/core/process/householdSource';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { recipeFaults } from '@hoddle/core/process/recipeFaults';
import { ownPagesOf } from '@hoddle/core/recipe/own/pagesOf';
import { isDeepStrictEqual } from 'node:util';
import { Problem } from '../problem';
import { storedLoads } from './storedLoads';

/** What was accepted already. */
type Here = Pick<BackupData, 'batches' | 'dayEvents' | 'recipes'>;

/**
 * Holds a whole household against the rules that the API holds each write against: a file is no way round them.
 *
 * @param here the household as it is: what was accepted into it once is accepted again
 * @throws Problem 422 with the first row that may not be
 */
export function holdBackup(data: BackupData, here: Here): void {
  holdIds(data);
  holdReferences(data);
  holdJars(data);
  holdPages(data);
  holdTested(data, here);
}

function refuse(words: string): never {
  throw new Problem(422, 'not-whole', `${words} Nothing was changed.`);
}

/** An id is one thing's alone. */
function holdIds(data: BackupData): void {
  for (const [part, rows] of Object.entries(data)) {
    if (!Array.isArray(rows)) continue;
    const ids = (rows as { id?: string; revision?: number }[]).flatMap(({ id, revision }) =>
      id === undefined ? [] : `${id} ${revision ?? ''}`,
    );
    if (new Set(ids).size < ids.length) refuse(`Two of the ${part} in this file have one id.`);
  }
  const loads = data.batches.flatMap((batch) => batch.loads.map(({ id }) => id));
  if (new Set(loads).size < loads.length) refuse('Two loads in this file have one id.');
}

/** What is told of something is told of something that is there. */
function holdReferences(data: BackupData): void {
  const idsOf = (rows: readonly { readonly id: string }[]) => new Set(rows.map(({ id }) => id));
  const [picks, batches, lots, plantings] = [data.picks, data.batches, data.lots, data.plantings].map(idsOf) as [
    Set<string>,
    Set<string>,
    Set<string>,
    Set<string>,
  ];
  const loads = new Set(data.batches.flatMap((batch) => batch.loads.map(({ id }) => id)));
  const movements = new Map(data.movements.map((movement) => [movement.id, movement]));
  const stored = storedLoads(data);
  const isFine =
    data.batches.every(({ uses }) => uses.every(({ pickId }) => picks.has(pickId))) &&
    data.lotChanges.every(({ pickId }) => picks.has(pickId)) &&
    data.gardenLooks.every(({ plantingId }) => plantings.has(plantingId)) &&
    data.batchRecords.every(({ batchId }) => batchId === null || batches.has(batchId)) &&
    data.events.every(({ loadId }) => loads.has(loadId)) &&
    data.lots.every(
      ({ loadId, fromLotId }) =>
        (loadId === undefined || stored.has(loadId)) && (fromLotId === undefined || lots.has(fromLotId)),
    ) &&
    data.movements.every(
      ({ lotId, intoLotId, undoes }) =>
        lots.has(lotId) &&
        (intoLotId === undefined || lots.has(intoLotId)) &&
        (undoes === undefined || movements.get(undoes)?.lotId === lotId),
    );
  if (!isFine) refuse('Parts of this backup do not fit together.');
}

/** No lot holds fewer than none. */
function holdJars(data: BackupData): void {
  const ledger = new Ledger(data.household.places);
  for (const lot of data.lots as JarLot[]) ledger.enterLot(lot);
  const inTime = [...(data.movements as Movement[])].sort((a, b) => a.at - b.at);
  for (const movement of inTime) ledger.enterMovement(movement);
  if (data.lots.some(({ id }) => ledger.jars(id) < 0))
    refuse('More jars went from a lot of this file than were in it.');
}

function holdPages(data: BackupData): void {
  for (const source of data.sources as HouseholdSource[]) {
    const check = checkHouseholdSource(source);
    if (check.kind === 'refused') refuse(`A source in this file may not be: ${check.reason}`);
  }
  for (const recipe of data.recipes as OwnRecipe[]) {
    const [fault] = recipeFaults(recipe);
    if (fault) refuse(`The recipe "${recipe.name}" in this file may not be: ${fault.reason}`);
  }
}

/** A batch is processed as tested, or longer; one that stands here already was held against its table when it was planned. */
function holdTested(data: BackupData, here: Here): void {
  const pages: HouseholdPages = {
    checkedRows: new Map(data.checkedRows.map(({ rowId, checkedOn }) => [rowId, checkedOn])),
    sources: data.sources,
    recipes: data.recipes,
  };
  const known = new Map((here.batches as Batch[]).map((batch) => [batch.id, batch]));
  const batches = new Map((data.batches as Batch[]).map((batch) => [batch.id, batch]));
  layOwnPages(ownPagesOf(data.recipes));
  const hold = (batch: Batch) => {
    const fault = batchFault(batch, pages);
    if (fault) refuse(`A batch of ${batch.product} in this file may not be: ${fault.sentence}`);
  };
  try {
    for (const batch of batches.values()) if (!isDeepStrictEqual(known.get(batch.id), batch)) hold(batch);
    const accepted = here.dayEvents as DayEvent[];
    for (const event of data.dayEvents as DayEvent[]) {
      if (event.type !== 'recipe-changed' || accepted.some((own) => isDeepStrictEqual(own, event))) continue;
      const batch = batches.get(event.batchId);
      if (batch) hold(madeAs(batch, event));
    }
  } finally {
    layOwnPages(ownPagesOf(here.recipes));
  }
}
