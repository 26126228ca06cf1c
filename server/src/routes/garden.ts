import { Router } from 'express';
import * as v from 'valibot';
import { GardenLookSchema, PlantingSchema } from '@hoddle/contract/garden';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';
import { Problem } from '../problem';

/** The garden: plantings set up once and mended, and what the cook saw there. */
export function gardenRoute(db: Database): Router {
  const { plantings, gardenLooks } = db.tables;
  return Router()
    .put('/plantings/:id', async (req, res) => {
      const planting = { ...v.parse(PlantingSchema, req.body), id: req.params.id };
      await db.write((transaction) => plantings.upsert(planting, { transaction }));
      res.json(planting);
    })
    .delete('/plantings/:id', async (req, res) => {
      const { id } = req.params;
      await db.write(async (transaction) => {
        await gardenLooks.destroy({ where: { plantingId: id }, transaction });
        await plantings.destroy({ where: { id }, transaction });
      });
      res.status(204).end();
    })
    .post('/garden-looks', async (req, res) => {
      const look = v.parse(GardenLookSchema, req.body);
      const isNew = await db.write(async (transaction) => {
        if (!(await plantings.findByPk(look.plantingId, { transaction })))
          throw new Problem(404, 'no-planting', 'There is no such bed.');
        return keepOnce(gardenLooks, look, transaction);
      });
      res.status(isNew ? 201 : 200).json(look);
    })
    .delete('/garden-looks/:id', async (req, res) => {
      await db.write((transaction) => gardenLooks.destroy({ where: { id: req.params.id }, transaction }));
      res.status(204).end();
    });
}
