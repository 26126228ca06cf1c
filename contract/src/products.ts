import * as v from 'valibot';
import { METHODS } from '@hoddle/core/process/method';
import { PackSchema, Product } from './crop';

/** The query of `GET /api/products`; empty or missing lists everything. */
export const ProductsQuery = v.object({ q: v.optional(v.pipe(v.string(), v.maxLength(80, 'is too long'))) });

const strings = v.pipe(v.array(v.string()), v.readonly());

const ProductReply = v.strictObject({
  product: Product,
  name: v.string(),
  otherNames: strings,
  /** Each inner list is one way to make it; all crops of the list are needed. */
  crops: v.pipe(v.array(strings), v.readonly()),
  form: v.string(),
  productClass: v.picklist([
    'tomato',
    'fruit',
    'fruit-acidified',
    'recipe-acid',
    'pickle',
    'ferment',
    'spread',
    'low-acid',
  ]),
  packs: v.pipe(v.array(PackSchema), v.readonly()),
  methods: v.pipe(v.array(v.picklist(METHODS)), v.readonly()),
  sequence: strings,
  formulas: v.pipe(
    v.array(
      v.strictObject({
        /** Id of the card: `GET /api/recipes/{id}`. */
        recipe: v.string(),
        mainInputs: v.string(),
        yields: v.optional(v.strictObject({ low: v.number(), high: v.number() })),
        yieldJar: v.string(),
        confidence: v.picklist(['high', 'medium', 'low']),
        source: v.string(),
        recalled: v.boolean(),
      }),
    ),
    v.readonly(),
  ),
  mayDouble: v.boolean(),
  readyAfterDays: v.number(),
});
export type ProductReply = v.InferOutput<typeof ProductReply>;

export const ProductsReply = v.strictObject({
  products: v.pipe(v.array(ProductReply), v.readonly()),
  /** Food that is asked for and has no tested way to the shelf. */
  never: v.pipe(v.array(v.strictObject({ name: v.string(), reason: v.string(), instead: strings })), v.readonly()),
});
export type ProductsReply = v.InferOutput<typeof ProductsReply>;
