import { Router } from 'express';
import * as v from 'valibot';
import {
  RecipeForRequest,
  type RecipeForReply,
  type RecipeLine,
  type RecipeReply,
  RecipesQuery,
  type RecipesReply,
} from '@hoddle/contract/recipe';
import { cardsOf, citedOf, findCard, isOffered } from '@hoddle/core/handbook/cards';
import { type Card } from '@hoddle/core/handbook/cards/card';
import { isOwnProduct } from '@hoddle/core/handbook/ownIds';
import { findProduce, type ProduceId } from '@hoddle/core/handbook/produce';
import { type JarCount, JARS } from '@hoddle/core/handbook/jars';
import { searchProducts } from '@hoddle/core/handbook/searchProducts';
import { onHand } from '@hoddle/core/harvest/onHand';
import { largestTested } from '@hoddle/core/process/largestTested';
import { quartsOfJars, quartsPerBatch } from '@hoddle/core/recipe/cardColumns';
import { mainLine } from '@hoddle/core/recipe/cardCrops';
import { inUnit, type Measure } from '@hoddle/core/recipe/kitchenMeasure';
import { type AmountLine, recipeFor } from '@hoddle/core/recipe/recipeFor';
import { recipeName } from '@hoddle/core/recipe/recipeName';
import { stepsFor } from '@hoddle/core/recipe/recipeSteps';
import { learnedLiquid } from '@hoddle/core/supplies/learnedLiquid';
import { cardForCrop } from '@hoddle/core/yields/cardForCrop';
import { missingFor } from '@hoddle/core/yields/otherCrops';
import { timedUses } from '@hoddle/core/day/timedUses';
import { type Database } from '../db/openDatabase';
import { all, readBatchRecords, readBatchesTold } from '../db/readState';
import { Problem } from '../problem';

/** Recipe cards, and one worked out for the jars there are. */
export function recipesRoute(db: Database): Router {
  return Router()
    .get('/recipes', (req, res) => {
      const { q = '' } = v.parse(RecipesQuery, req.query);
      const reply: RecipesReply = {
        recipes: searchProducts(q).flatMap(({ product }) => cardsOf(product).map(summaryOf)),
      };
      res.json(reply);
    })
    .get('/recipes/:id', (req, res) => {
      const card = offered(req.params.id);
      const batch = card.yields
        ? [{ jar: card.yields.jar, count: card.yields.high }]
        : [{ jar: 'quart' as const, count: 4 }];
      const reply: RecipeReply = {
        ...summaryOf(card),
        ingredients: recipeFor(card, { jars: batch }).lines.map(lineOf),
        steps: [...stepsFor(card, {})].map(({ of: _, ...step }) => step),
        instead: [...card.instead],
        ...(card.caution !== undefined && { caution: card.caution }),
      };
      res.json(reply);
    })
    .post('/recipe-for', async (req, res) => {
      const { recipe, jars, taken } = v.parse(RecipeForRequest, req.body);
      const card = offered(recipe);
      holdAgainstTested(card, jars);
      const liquid = learnedLiquid(card, readBatchRecords(db));
      const made = recipeFor(card, { jars, ...(taken && { taken }), ...(liquid && { learnedLiquid: liquid }) });
      const missing = await missingOnHand(db, made.card, jars);
      const reply: RecipeForReply = {
        recipe: made.card.card,
        name: recipeName({ product: card.product, recipe: made.card.card }),
        pots: made.pots,
        ingredients: made.lines.map(lineOf),
        steps: made.steps.map(({ of: _, ...step }) => step),
        ...(made.covering && { covering: { makeMl: made.covering.makeMl, likelyMl: made.covering.likelyMl } }),
        ...(missing.length > 0 && { missing }),
      };
      res.json(reply);
    });
}

function offered(id: string): Card {
  const card = findCard(id);
  if (!card || !isOffered(card)) throw new Problem(404, 'no-recipe', 'The handbook has no such recipe.');
  return card;
}

/** No jar larger than the largest that was tested; a smaller one takes the tested time. */
function holdAgainstTested(card: Card, jars: readonly JarCount[]): void {
  // A page of the household's own may be kept cold in any jar; its tested time is looked up apart.
  if (isOwnProduct(card.product)) return;
  const largest = largestTested(card.product);
  if (largest === undefined) throw new Problem(422, 'not-tested', 'Nothing is tested for this recipe.');
  const over = jars.find(({ jar }) => JARS[jar].nominalFlOz > JARS[largest].nominalFlOz);
  if (!over) return;
  const message = `${JARS[over.jar].several} were never tested for it: at most ${JARS[largest].several}.`;
  throw new Problem(
    422,
    'jar-too-large',
    message.replace(/^./, (letter) => letter.toUpperCase()),
    { jars: message },
  );
}

function summaryOf(card: Card): RecipesReply['recipes'][number] {
  const { card: recipe, product, kind, yields, confidence } = card;
  return {
    recipe,
    name: recipeName({ product, recipe }),
    product,
    kind,
    crops: [...(mainLine(card)?.crops ?? [])],
    ...(yields && { yields }),
    confidence,
    ...citedOf(card),
  };
}

type LineReply = v.InferOutput<typeof RecipeLine>;

function lineOf({ line, all: amount, perJar, instead }: AmountLine): LineReply {
  const { item, crops, role, into, then, prep, optional, oneOf, inside } = line;
  return {
    item,
    ...(crops.length > 0 && { crop: crops.join('|') }),
    role,
    into,
    then,
    ...amountOf(amount),
    ...(perJar && {
      perJar: perJar.map(({ jar, dose }) => {
        const { kg: _, ...each } = amountOf(dose);
        return { jar, ...each };
      }),
    }),
    ...(prep !== undefined && { prep }),
    ...(optional && { optional }),
    ...(oneOf !== undefined && { oneOf }),
    ...(instead.length > 0 && { instead: instead.map((other) => other.line.item) }),
    ...(inside !== undefined && { inside }),
  };
}

function amountOf(measure: Measure): Pick<LineReply, 'amount' | 'ml' | 'kg'> {
  if (measure.of === 'words') return { amount: { value: null, unit: measure.words } };
  const { of, value, unit, word } = measure;
  return {
    amount: { value: Number(inUnit(measure).toPrecision(12)), unit: unit === 'piece' ? (word ?? 'piece') : unit },
    ...(of === 'ml' && { ml: value }),
    ...(of === 'kg' && { kg: value }),
  };
}

/** What is not on hand of the crops of a card, for these jars; what is bought otherwise is not asked about. */
async function missingOnHand(
  db: Database,
  card: Card,
  jars: readonly JarCount[],
): Promise<NonNullable<RecipeForReply['missing']>> {
  const main = mainLine(card);
  const perBatch = quartsPerBatch(card);
  const crops = (main?.crops ?? []).flatMap((crop) => findProduce(crop)?.crop ?? []);
  if (!perBatch || crops.length === 0) return [];
  const lots = onHand(
    await all(db.tables.picks),
    timedUses(await readBatchesTold(db)),
    await all(db.tables.lotChanges, [['at', 'ASC']]),
  );
  const there = (crop: ProduceId) =>
    lots.filter((lot) => lot.crop === crop).reduce((sum, { massKg }) => sum + massKg, 0);
  const crop = [...crops].sort((a, b) => there(b) - there(a))[0] as ProduceId;
  const own = cardForCrop(card.product, crop);
  if (!own) return [];
  const neededKg = (quartsOfJars(jars) / perBatch.mid) * own.main.kgPerBatch;
  const rest = missingFor(card.product, crop, neededKg, lots).map(({ massKg, ...each }) => ({
    ...each,
    ...(massKg !== undefined && { kg: massKg }),
  }));
  const shortKg = neededKg - there(crop);
  return shortKg > 0.01 ? [{ crop, text: own.main.line.item, kg: shortKg, stops: true }, ...rest] : rest;
}
