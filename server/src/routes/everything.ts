import { Router } from 'express';
import { type Everything, everythingSchema } from '@hoddle/contract/everything';
import { everythingOf } from '@hoddle/core/formats/everything';
import { exportParts } from '../db/exportParts';
import { type Database } from '../db/openDatabase';
import { readSettings } from '../db/readState';

/** `GET /api/everything`: the whole household as one JSON for other programs; `/schema` says how it is made. */
export function everythingRoute(db: Database): Router {
  return Router()
    .get('/everything', async (_req, res) => {
      const told = { ...readSettings(db), pages: db.recipes.all, madeAt: Date.now() };
      const everything: Everything = everythingOf(await exportParts(db), told);
      res.attachment('hoddle-everything.json').json(everything);
    })
    .get('/everything/schema', (_req, res) => {
      res.json(everythingSchema());
    });
}
