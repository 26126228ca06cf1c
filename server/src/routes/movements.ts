import { Router } from 'express';
import * as v from 'valibot';
import { MovementSchema } from '@hoddle/contract/jarLot';
import { type Movement } from '@hoddle/core/pantry/jarLot';
import { type Database } from '../db/openDatabase';

/** `POST /api/movements`: jars taken, given, carried elsewhere, thrown away. A lot never holds fewer than none. */
export function movementsRoute(db: Database): Router {
  return Router().post('/movements', async (req, res) => {
    const movement = v.parse(MovementSchema, req.body) as Movement;
    const isNew = await db.write((transaction) => db.pantry.move(movement, transaction));
    res.status(isNew ? 201 : 200).json(movement);
  });
}
