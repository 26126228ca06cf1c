import { Router } from 'express';
import * as v from 'valibot';
import { PickSchema } from '@hoddle/contract/pick';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';
import { Problem } from '../problem';

/** Picks: written down once, and struck out again as long as no batch has used them. */
export function picksRoute(db: Database): Router {
  return Router()
    .post('/picks', async (req, res) => {
      const pick = v.parse(PickSchema, req.body);
      const isNew = await db.write((transaction) => keepOnce(db.tables.picks, pick, transaction));
      res.status(isNew ? 201 : 200).json(pick);
    })
    .delete('/picks/:id', async (req, res) => {
      const { id } = req.params;
      await db.write(async (transaction) => {
        const uses = await db.tables.uses.count({ where: { pickId: id }, transaction });
        if (uses > 0) throw new Problem(409, 'in-use', 'A batch has used some of this pick, so it stays.');
        await db.tables.picks.destroy({ where: { id }, transaction });
      });
      res.status(204).end();
    });
}
