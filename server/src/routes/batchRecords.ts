import { Router } from 'express';
import * as v from 'valibot';
import { BatchRecordSchema } from '@hoddle/contract/batchRecord';
import { checkRecord } from '@hoddle/core/yields/checkRecord';
import { learnYields } from '@hoddle/core/yields/yieldModel';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';
import { readBatchRecords } from '../db/readState';
import { Problem } from '../problem';
import { holdKnown } from './holdKnown';

/** What became of batches. What cannot be is not learned from: it is asked about, or kept as a thing apart. */
export function batchRecordsRoute(db: Database): Router {
  const { batchRecords, batches } = db.tables;
  return Router()
    .post('/batch-records', async (req, res) => {
      const record = v.parse(BatchRecordSchema, req.body);
      holdKnown(db, record.product);
      const others = readBatchRecords(db).filter(({ id }) => id !== record.id);
      if (record.learnFrom) {
        const check = checkRecord(record, learnYields(others, record.madeAt));
        if (check.kind === 'slip') throw new Problem(422, 'unlikely', check.sentence, { jars: check.sentence });
      }
      const isNew = await db.write(async (transaction) => {
        if (record.batchId !== null && !(await batches.findByPk(record.batchId, { transaction })))
          throw new Problem(404, 'no-batch', 'There is no such batch.');
        return keepOnce(batchRecords, record, transaction);
      });
      res.status(isNew ? 201 : 200).json(record);
    })
    .delete('/batch-records/:id', async (req, res) => {
      await db.write((transaction) => batchRecords.destroy({ where: { id: req.params.id }, transaction }));
      res.status(204).end();
    });
}
