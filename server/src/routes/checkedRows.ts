import { Router } from 'express';
import * as v from 'valibot';
import { CheckRequest } from '@hoddle/contract/checkedRow';
import { isTableRow } from '@hoddle/core/handbook/rowIds';
import { type Database } from '../db/openDatabase';
import { Problem } from '../problem';

/** `PUT /api/checked-rows`: a row was held against the page on that day, or the mark is taken back. */
export function checkedRowsRoute(db: Database): Router {
  return Router().put('/checked-rows', async (req, res) => {
    const { rowId, checkedOn } = v.parse(CheckRequest, req.body);
    if (!isTableRow(rowId)) throw new Problem(404, 'no-row', 'The handbook has no such row.');
    await db.write(async (transaction) => {
      const { checkedRows } = db.tables;
      if (checkedOn === null) await checkedRows.destroy({ where: { rowId }, transaction });
      else await checkedRows.upsert({ rowId, checkedOn }, { transaction });
    });
    res.json({ rowId, checkedOn });
  });
}
