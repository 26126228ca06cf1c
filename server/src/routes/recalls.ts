import { Router } from 'express';
import { recallOf } from '@hoddle/core/pantry/recall';
import { type Database } from '../db/openDatabase';
import { readBatchesNow } from '../db/readState';
import { Problem } from '../problem';

/** `GET /api/recalls/:id`: from one lot to every jar of its batch and loads, and where each went, over all years. */
export function recallsRoute(db: Database): Router {
  return Router().get('/recalls/:id', async (req, res) => {
    const recall = recallOf(req.params.id, {
      batches: await readBatchesNow(db),
      lots: [...db.pantry.all.allLots()],
      movements: [...db.pantry.all.allMovements()],
    });
    if (!recall) throw new Problem(404, 'no-lot', 'There are no such jars.');
    res.json(recall);
  });
}
