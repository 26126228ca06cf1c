import { Router } from 'express';
import * as v from 'valibot';
import { PickSchema } from '@hoddle/contract/pick';
import { checkPickDay } from '@hoddle/core/harvest/checkPickDay';
import { type Clock } from '../clock';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';
import { CRUMB_KG } from '@hoddle/core/harvest/crumb';
import { overdrawnOf, readBook } from '../db/produceBook';
import { readHousehold } from '../db/readState';
import { Problem } from '../problem';

/** Picks: written down once, corrected, and struck out again as long as nothing was used of them. */
export function picksRoute(db: Database, clock: Clock): Router {
  const readPick = async (body: unknown) => {
    const pick = v.parse(PickSchema, body);
    const { demoOffsetMs } = readHousehold(db);
    const day = checkPickDay(pick.pickedAt, clock.now(demoOffsetMs));
    if (day.kind === 'refusal') throw new Problem(400, 'invalid', day.reason, { pickedAt: day.reason });
    return pick;
  };
  return Router()
    .post('/picks', async (req, res) => {
      const pick = await readPick(req.body);
      const isNew = await db.write((transaction) => keepOnce(db.tables.picks, pick, transaction));
      res.status(isNew ? 201 : 200).json(pick);
    })
    .put('/picks/:id', async (req, res) => {
      const { id } = req.params;
      const pick = { ...(await readPick(req.body)), id };
      await db.write(async (transaction) => {
        const book = await readBook(db.tables, id, transaction);
        if (!book.pick) throw new Problem(404, 'no-pick', 'There is no such pick.');
        if (overdrawnOf({ ...book, pick }) > overdrawnOf(book) + CRUMB_KG) {
          throw new Problem(409, 'in-use', 'More than that has already been used of this pick, so it stays as it was.');
        }
        await db.tables.picks.update(pick, { where: { id }, transaction });
      });
      res.json(pick);
    })
    .delete('/picks/:id', async (req, res) => {
      const { id } = req.params;
      await db.write(async (transaction) => {
        const { uses, changes } = await readBook(db.tables, id, transaction);
        if (uses.length > 0) throw new Problem(409, 'in-use', 'A batch has used some of this pick, so it stays.');
        if (changes.length > 0) {
          throw new Problem(409, 'in-use', 'Some of this pick was used or moved: take that back first.');
        }
        await db.tables.picks.destroy({ where: { id }, transaction });
      });
      res.status(204).end();
    });
}
