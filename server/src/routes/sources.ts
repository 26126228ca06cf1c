import { Router } from 'express';
import * as v from 'valibot';
import { HouseholdSourceSchema } from '@hoddle/contract/householdSource';
import { checkHouseholdSource } from '@hoddle/core/process/checkHouseholdSource';
import { keepOnce } from '../db/keepOnce';
import { type Database } from '../db/openDatabase';
import { Problem } from '../problem';

/** The household's own sources: written down once, held against rule 18, and struck out again. */
export function sourcesRoute(db: Database): Router {
  return Router()
    .post('/sources', async (req, res) => {
      const source = v.parse(HouseholdSourceSchema, req.body);
      const check = checkHouseholdSource(source);
      if (check.kind === 'refused') {
        throw new Problem(422, 'no-source', check.reason, { [check.field]: check.reason });
      }
      const isNew = await db.write((transaction) => keepOnce(db.tables.sources, source, transaction));
      res.status(isNew ? 201 : 200).json(source);
    })
    .delete('/sources/:id', async (req, res) => {
      const { id } = req.params;
      await db.write((transaction) => db.tables.sources.destroy({ where: { id }, transaction }));
      res.status(204).end();
    });
}
