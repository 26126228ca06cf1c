import { Router } from 'express';
import * as v from 'valibot';
import { OwnRecipeSchema, type ReadRecipeReply, ReadRecipeRequest } from '@hoddle/contract/ownRecipe';
import { readDraft } from '@hoddle/contract/readDraft';
import { ownProductId } from '@hoddle/core/handbook/ownIds';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { recipeFaults } from '@hoddle/core/process/recipeFaults';
import { Op } from 'sequelize';
import { type Database } from '../db/openDatabase';
import { Problem } from '../problem';

/** The household's own recipes: read from a text, put page by page, struck out while nothing is made of them. */
export function ownRecipesRoute(db: Database): Router {
  return Router()
    .post('/recipes/read', (req, res) => {
      const reply: ReadRecipeReply = readDraft(v.parse(ReadRecipeRequest, req.body));
      res.json(reply);
    })
    .put('/recipes/:id', async (req, res) => {
      const recipe = v.parse(OwnRecipeSchema, req.body) as OwnRecipe;
      if (recipe.id !== req.params.id) {
        throw new Problem(400, 'invalid', 'The id is not the one of the address.', {
          id: 'is not the one of the address',
        });
      }
      holdAgainstRules(recipe);
      const isNew = await db.write((transaction) => db.recipes.keep(recipe, transaction));
      res.status(isNew ? 201 : 200).json(recipe);
    })
    .delete('/recipes/:id', async (req, res) => {
      const { id } = req.params;
      await db.write(async (transaction) => {
        const product = ownProductId(id);
        const { lots, batches, batchRecords, goals } = db.tables;
        const jars = await lots.count({ where: { product }, transaction });
        const counts = [
          jars,
          await batches.count({ where: { product }, transaction }),
          await batchRecords.count({ where: { product }, transaction }),
          await goals.count({ where: { product, jars: { [Op.gt]: 0 } }, transaction }),
        ];
        if (counts.some((count) => count > 0)) {
          const reason = jars > 0 ? 'Jars stand under it' : 'Something was made or is wanted of it';
          throw new Problem(
            409,
            'in-use',
            `${reason}, so it stays: put it away instead, and it is not offered any more.`,
          );
        }
        await goals.destroy({ where: { product }, transaction });
        await db.recipes.strike(id, transaction);
      });
      res.status(204).end();
    });
}

/** @throws Problem 422 with each part that may not be, and the rule */
function holdAgainstRules(recipe: OwnRecipe): void {
  const faults = recipeFaults(recipe);
  const [first] = faults;
  if (!first) return;
  const fields = Object.fromEntries([...faults].reverse().map(({ field, reason }) => [field, reason]));
  throw new Problem(422, 'may-not-be', first.reason, fields);
}
