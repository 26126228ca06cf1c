import { Router } from 'express';
import * as v from 'valibot';
import { LotChangeSchema } from '@hoddle/contract/lotChange';
import { KG_PER_LB } from '@hoddle/core/measure/amount';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';
import { CRUMB_KG } from '@hoddle/core/harvest/crumb';
import { lotsOf, overdrawnOf, readBook } from '../db/produceBook';
import { Problem } from '../problem';

/** What becomes of lots other than jars. No lot is ever drawn below none, and a change can be taken back. */
export function lotChangesRoute(db: Database): Router {
  return Router()
    .post('/lot-changes', async (req, res) => {
      const change = v.parse(LotChangeSchema, req.body);
      const isNew = await db.write(async (transaction) => {
        const before = await readBook(db.tables, change.pickId, transaction);
        if (!before.pick) throw new Problem(404, 'no-pick', 'There is no such pick.');
        const added = await keepOnce(db.tables.lotChanges, change, transaction);
        const after = await readBook(db.tables, change.pickId, transaction);
        if (overdrawnOf(after) <= overdrawnOf(before) + CRUMB_KG) return added;
        const lots = lotsOf(before).filter(({ part, place }) => part === change.part && place === change.from);
        const leftLb = lots.reduce((sum, { massKg }) => sum + massKg, 0) / KG_PER_LB;
        throw new Problem(409, 'overdrawn', `Only ${Math.round(leftLb * 10) / 10} lb of this lot are left.`);
      });
      res.status(isNew ? 201 : 200).json(change);
    })
    .delete('/lot-changes/:id', async (req, res) => {
      const { id } = req.params;
      await db.write(async (transaction) => {
        const change = (await db.tables.lotChanges.findByPk(id, { transaction }))?.get({ plain: true });
        if (!change) return;
        const before = await readBook(db.tables, change.pickId, transaction);
        await db.tables.lotChanges.destroy({ where: { id }, transaction });
        const after = await readBook(db.tables, change.pickId, transaction);
        if (overdrawnOf(after) > overdrawnOf(before) + CRUMB_KG) {
          throw new Problem(409, 'in-use', 'What was moved then has been used since: take that back first.');
        }
      });
      res.status(204).end();
    });
}
