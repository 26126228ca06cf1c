import { type Transaction } from 'sequelize';
import { timedUses } from '@hoddle/core/day/timedUses';
import { type LotChange } from '@hoddle/core/harvest/lotChange';
import { leftBehind, type Lot, onHand, overdrawnKg, type TimedUse } from '@hoddle/core/harvest/onHand';
import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { readBatchesTold } from './readState';
import { soundRows } from './soundRows';
import { type Tables } from './tables';

/** All that was entered of one pick, as it stands in a transaction. */
export interface ProduceBook {
  readonly pick: HarvestPick | undefined;
  readonly uses: readonly TimedUse[];
  readonly changes: readonly LotChange[];
}

/** Batches as they stand count: produce of loads that were dropped on the day is on hand again. */
export async function readBook(tables: Tables, pickId: string, transaction: Transaction): Promise<ProduceBook> {
  const batches = await readBatchesTold({ tables }, transaction);
  const [pick] = await soundRows(tables.picks, { where: { id: pickId }, transaction });
  return {
    pick,
    uses: timedUses(batches).filter((use) => use.pickId === pickId),
    changes: await soundRows(tables.lotChanges, { where: { pickId }, order: [['at', 'ASC']], transaction }),
  };
}

/** What is still there of the pick, lot by lot. */
export function lotsOf({ pick, uses, changes }: ProduceBook): Lot[] {
  return pick ? [...onHand([pick], uses, changes), ...leftBehind([pick], uses, changes)] : [];
}

/** How much more of the pick was taken than there was. */
export function overdrawnOf({ pick, uses, changes }: ProduceBook): number {
  return pick ? overdrawnKg([pick], uses, changes) : 0;
}
