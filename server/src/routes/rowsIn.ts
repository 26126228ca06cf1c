import { Router } from 'express';
import { type Transaction } from 'sequelize';
import * as v from 'valibot';
import { RowsIn, type RowsInReply } from '@hoddle/contract/rowsIn';
import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { usedUp } from '@hoddle/core/harvest/usedUp';
import { type Database } from '../db/openDatabase';
import { type Table } from '../db/tables';
import { Problem } from '../problem';
import { holdKnown } from './holdKnown';

/**
 * `POST /api/rows-in`: picks, beds, batches, supplies or goals from a table, all of them or none. What has an id that is here already
 * stays as it is, so that a table that is put in twice is put in once.
 */
export function rowsInRoute(db: Database): Router {
  return Router().post('/rows-in', async (req, res) => {
    const told = v.parse(RowsIn, req.body);
    if (told.table === 'batches' || told.table === 'goals') for (const { product } of told.rows) holdKnown(db, product);
    const reply = await db.write((transaction) => putIn(db, told, transaction));
    res.status(reply.added > 0 ? 201 : 200).json(reply);
  });
}

async function putIn(db: Database, told: RowsIn, transaction: Transaction): Promise<RowsInReply> {
  const { picks, plantings, batchRecords, hardwareMoves, goals, lotChanges } = db.tables;
  switch (told.table) {
    case 'picks': {
      const fresh = await newOnes(picks, told.rows as HarvestPick[], transaction);
      await picks.bulkCreate(fresh, { transaction });
      const { goneBefore } = told;
      const gone = fresh.filter(({ pickedAt }) => goneBefore !== undefined && pickedAt < goneBefore);
      await lotChanges.bulkCreate(gone.flatMap(usedUp), { transaction });
      return { added: fresh.length, known: told.rows.length - fresh.length };
    }
    case 'garden': {
      const fresh = await newOnes(plantings, told.rows, transaction);
      await plantings.bulkCreate(fresh, { transaction });
      return { added: fresh.length, known: told.rows.length - fresh.length };
    }
    case 'batches': {
      if (told.rows.some(({ batchId }) => batchId !== null))
        throw new Problem(422, 'not-alone', 'Batches of a table belong to no planned batch. Nothing was saved.');
      const fresh = await newOnes(batchRecords, told.rows, transaction);
      await batchRecords.bulkCreate(fresh, { transaction });
      return { added: fresh.length, known: told.rows.length - fresh.length };
    }
    case 'supplies': {
      const rows = told.rows.map(({ size = null, ...move }) => ({ ...move, size }));
      const fresh = await newOnes(hardwareMoves, rows as never[], transaction);
      await hardwareMoves.bulkCreate(fresh, { transaction });
      return { added: fresh.length, known: told.rows.length - fresh.length };
    }
    case 'goals':
      // One product and size has one goal: the table's takes its place.
      for (const goal of told.rows) await goals.upsert(goal, { transaction });
      return { added: told.rows.length, known: 0 };
  }
}

/** Rows of which no id is here; of two of a table with one id the first. @throws Problem 409 for two that differ */
async function newOnes<Row extends { id: string }>(
  table: Table<Row>,
  rows: readonly Row[],
  transaction: Transaction,
): Promise<Row[]> {
  const ids = new Set(rows.map(({ id }) => id));
  if (ids.size < rows.length) throw new Problem(409, 'twice', 'Two rows are the same thing. Nothing was saved.');
  const kept = await table.findAll({ where: { id: [...ids] } as never, attributes: ['id'], transaction });
  const known = new Set(kept.map((row) => row.get('id') as string));
  return rows.filter(({ id }) => !known.has(id));
}
