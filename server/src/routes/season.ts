import { Router } from 'express';
import * as v from 'valibot';
import { DaysGivenSchema, KeptPlanSchema, ShoppingTickSchema } from '@hoddle/contract/season';
import { type Database } from '../db/openDatabase';

/** The days a household gives, the plan it goes by, and what is in the basket already. */
export function seasonRoute(db: Database): Router {
  const { households, shoppingTicks } = db.tables;
  return Router()
    .put('/season-days', async (req, res) => {
      const seasonDays = v.parse(DaysGivenSchema, req.body);
      await db.write((transaction) => households.update({ seasonDays }, { where: { id: 1 }, transaction }));
      res.json(seasonDays);
    })
    .put('/season-plan', async (req, res) => {
      const { plan, pins } = v.parse(KeptPlanSchema, req.body);
      const kept = { seasonPlan: plan, seasonPins: pins };
      await db.write((transaction) => households.update(kept, { where: { id: 1 }, transaction }));
      res.json({ plan, pins });
    })
    .put('/shopping-ticks', async (req, res) => {
      const { key, ticked } = v.parse(ShoppingTickSchema, req.body);
      await db.write(async (transaction) => {
        await shoppingTicks.destroy({ where: { key }, transaction });
        if (ticked) await shoppingTicks.create({ key }, { transaction });
      });
      res.json({ key, ticked });
    });
}
