import { Router } from 'express';
import * as v from 'valibot';
import { HardwareMoveSchema } from '@hoddle/contract/hardware';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';

/** `POST /api/hardware-moves`: empty jars, lids and bands counted, bought, thrown away. */
export function hardwareMovesRoute(db: Database): Router {
  return Router().post('/hardware-moves', async (req, res) => {
    const { size = null, ...move } = v.parse(HardwareMoveSchema, req.body);
    const isNew = await db.write((transaction) => keepOnce(db.tables.hardwareMoves, { ...move, size }, transaction));
    res.status(isNew ? 201 : 200).json({ ...move, ...(size !== null && { size }) });
  });
}
