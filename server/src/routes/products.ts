import { Router } from 'express';
import * as v from 'valibot';
import { type ProductReply, ProductsQuery, type ProductsReply } from '@hoddle/contract/products';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { cardsOf, citedOf } from '@hoddle/core/handbook/cards';
import { searchProducts } from '@hoddle/core/handbook/searchProducts';
import { packsOf } from '@hoddle/core/handbook/usualPack';
import { testedMethods } from '@hoddle/core/process/findProcess';
import { cardWords } from '@hoddle/core/recipe/cardWords';
import { searchNever } from '@hoddle/core/process/neverOnShelf';

/** `GET /api/products?q=`: tested products by any of their names, and what was asked for and is never for the shelf. */
export const productsRoute = Router().get('/products', (req, res) => {
  const { q = '' } = v.parse(ProductsQuery, req.query);
  const reply: ProductsReply = {
    products: searchProducts(q).map(productReply),
    never: searchNever(q).map(({ name, reason, instead }) => ({ name, reason, instead })),
  };
  res.json(reply);
});

function productReply(row: ProductRow): ProductReply {
  const { product, name, otherNames, crops, form, productClass, mayDouble, readyAfterDays } = row;
  const cards = cardsOf(product);
  return {
    product,
    name,
    otherNames,
    crops,
    form,
    productClass,
    packs: packsOf(row),
    methods: testedMethods(row),
    sequence: (cards[0]?.steps ?? []).map(({ step }) => step),
    formulas: cards.map((card) => ({
      recipe: card.card,
      mainInputs: cardWords(card),
      ...(card.yields && { yields: { low: card.yields.low, high: card.yields.high } }),
      yieldJar: card.yields?.jar ?? 'none published',
      confidence: card.confidence,
      ...citedOf(card),
    })),
    mayDouble,
    readyAfterDays,
  };
}
