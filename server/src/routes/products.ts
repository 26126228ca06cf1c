import { Router } from 'express';
import * as v from 'valibot';
import { type ProductReply, ProductsQuery, type ProductsReply } from '@hoddle/contract/products';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { formulasOf } from '@hoddle/core/handbook/recipes';
import { searchProducts } from '@hoddle/core/handbook/searchProducts';
import { packsOf } from '@hoddle/core/handbook/usualPack';
import { testedMethods } from '@hoddle/core/process/findProcess';
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
  const { product, name, otherNames, crops, form, productClass, sequence, mayDouble, readyAfterDays } = row;
  return {
    product,
    name,
    otherNames,
    crops,
    form,
    productClass,
    packs: packsOf(row),
    methods: testedMethods(row),
    sequence,
    formulas: formulasOf(product).map(({ product: _, ...formula }) => formula),
    mayDouble,
    readyAfterDays,
  };
}
