import { Router } from 'express';
import * as v from 'valibot';
import { ShelfGoalSchema } from '@hoddle/contract/shelfGoal';
import { type Database } from '../db/openDatabase';
import { holdKnown } from './holdKnown';

/** `PUT /api/goals`: jars wanted of a product for a year, and what the household says it uses a month. */
export function goalsRoute(db: Database): Router {
  return Router().put('/goals', async (req, res) => {
    const goal = v.parse(ShelfGoalSchema, req.body);
    holdKnown(db, goal.product);
    await db.write((transaction) => db.tables.goals.upsert(goal, { transaction }));
    res.json(goal);
  });
}
