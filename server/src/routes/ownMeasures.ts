import { Router } from 'express';
import * as v from 'valibot';
import { OwnMeasureSchema } from '@hoddle/contract/ownMeasure';
import { type Database } from '../db/openDatabase';

/** `PUT /api/own-measures`: what one of the household's own measures weighs, asked once. */
export function ownMeasuresRoute(db: Database): Router {
  return Router().put('/own-measures', async (req, res) => {
    const measure = v.parse(OwnMeasureSchema, req.body);
    await db.write((transaction) => db.tables.ownMeasures.upsert(measure, { transaction }));
    res.json(measure);
  });
}
