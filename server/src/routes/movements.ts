import { Router } from 'express';
import * as v from 'valibot';
import { MovementSchema } from '@hoddle/contract/jarLot';
import { type Movement } from '@hoddle/core/pantry/jarLot';
import { type Database } from '../db/openDatabase';
import { NotEnough } from '../db/pantryBook';
import { Problem } from '../problem';

/**
 * `POST /api/movements`: jars taken, given, carried elsewhere, thrown away. A lot never holds fewer than none;
 * that two hands took the same jars is told to every screen, not only to the hand that came second.
 */
export function movementsRoute(db: Database): Router {
  return Router().post('/movements', async (req, res) => {
    const movement = v.parse(MovementSchema, req.body) as Movement;
    if (movement.kind === 'short')
      throw new Problem(400, 'invalid', 'kind is the server’s own.', { kind: 'is the server’s own' });
    const isNew = await db
      .write((transaction) => db.pantry.move(movement, transaction))
      .catch(async (error: unknown) => {
        if (error instanceof NotEnough) await db.write((transaction) => db.pantry.tellShort(movement, transaction));
        throw error;
      });
    res.status(isNew ? 201 : 200).json(movement);
  });
}
