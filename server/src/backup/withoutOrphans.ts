import { type BackupData } from '@hoddle/contract/backup';
import { type JarLot, type Movement } from '@hoddle/core/pantry/jarLot';
import { Ledger } from '@hoddle/core/pantry/ledger';
import { storedLoads } from './storedLoads';

/**
 * What is left of a household after some rows of it were lost, without what was told of them: jars of a lost lot, what happened to
 * a lost load, what was taken from a lost pick. A lot that would hold fewer than none, because what came into it is lost, goes too.
 */
export function withoutOrphans(data: BackupData): BackupData {
  const idsOf = (rows: readonly { readonly id: string }[]) => new Set(rows.map(({ id }) => id));
  const [picks, plantings] = [idsOf(data.picks), idsOf(data.plantings)];
  const batches = data.batches.map((batch) => ({
    ...batch,
    uses: batch.uses.filter(({ pickId }) => picks.has(pickId)),
  }));
  const batchIds = idsOf(batches);
  const loads = new Set(batches.flatMap((batch) => batch.loads.map(({ id }) => id)));
  const events = data.events.filter(({ loadId }) => loads.has(loadId));
  return {
    ...data,
    batches,
    lotChanges: data.lotChanges.filter(({ pickId }) => picks.has(pickId)),
    gardenLooks: data.gardenLooks.filter(({ plantingId }) => plantings.has(plantingId)),
    batchRecords: data.batchRecords.map((record) =>
      record.batchId === null || batchIds.has(record.batchId) ? record : { ...record, batchId: null },
    ),
    events,
    ...jarsLeft(data, storedLoads({ events })),
  };
}

/** Jars whose lots are there, by movements whose lots are there; of a load only where that is still told. */
function jarsLeft(data: BackupData, stored: ReadonlySet<string>): Pick<BackupData, 'lots' | 'movements'> {
  let lots = data.lots;
  let movements = data.movements;
  // Each round takes away what hung on the round before; every round takes something, or it is the last.
  for (let before = -1; before !== lots.length + movements.length;) {
    before = lots.length + movements.length;
    const [lotIds, movementIds] = [new Set(lots.map(({ id }) => id)), new Set(movements.map(({ id }) => id))];
    movements = movements.filter(
      ({ lotId, intoLotId, undoes }) =>
        lotIds.has(lotId) &&
        (intoLotId === undefined || lotIds.has(intoLotId)) &&
        (undoes === undefined || movementIds.has(undoes)),
    );
    const ledger = new Ledger(data.household.places);
    for (const lot of lots as JarLot[]) ledger.enterLot(lot);
    for (const movement of movements as Movement[]) ledger.enterMovement(movement);
    lots = lots.filter(({ id }) => ledger.jars(id) >= 0);
  }
  const kept = new Set(lots.map(({ id }) => id));
  return {
    movements,
    lots: lots.map(({ loadId, fromLotId, ...lot }) => ({
      ...lot,
      ...(loadId !== undefined && stored.has(loadId) && { loadId }),
      ...(fromLotId !== undefined && kept.has(fromLotId) && { fromLotId }),
    })),
  };
}
