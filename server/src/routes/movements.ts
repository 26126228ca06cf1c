import { Router } from 'express';
import * as v from 'valibot';
import { MovementSchema } from '@hoddle/contract/jarLot';
import { jarsInLot } from '@hoddle/core/pantry/jarLot';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';
import { Problem } from '../problem';

/** `POST /api/movements`: jars taken, returned or discarded. A lot never holds fewer than none. */
export function movementsRoute(db: Database): Router {
  return Router().post('/movements', async (req, res) => {
    const movement = v.parse(MovementSchema, req.body);
    const isNew = await db.write(async (transaction) => {
      const { lots, movements } = db.tables;
      if (!(await lots.findByPk(movement.lotId, { transaction })))
        throw new Problem(404, 'no-lot', 'There are no such jars.');
      const added = await keepOnce(movements, movement, transaction);
      const all = (await movements.findAll({ where: { lotId: movement.lotId }, transaction })).map((row) =>
        row.get({ plain: true }),
      );
      if (jarsInLot(movement.lotId, all) < 0)
        throw new Problem(409, 'not-enough', 'There are not so many of these jars left.');
      return added;
    });
    res.status(isNew ? 201 : 200).json(movement);
  });
}
