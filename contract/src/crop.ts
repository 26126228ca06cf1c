import * as v from 'valibot';
import { JAR_SIZES } from '@hoddle/core/handbook/jars';
import { PRODUCE, type ProduceId } from '@hoddle/core/handbook/produce';
import { type OwnProductId } from '@hoddle/core/handbook/ownIds';
import { type HandbookProductId, PRODUCTS } from '@hoddle/core/handbook/products';

export const Crop = v.picklist(
  PRODUCE.map((row) => row.crop) as [ProduceId, ...ProduceId[]],
  'is not a crop of the handbook',
);

/** A recipe of the household's own, by its UUID. */
const OwnProduct = v.pipe(
  v.string(),
  v.regex(/^own:[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i, 'is no recipe of the household'),
) as unknown as v.GenericSchema<string, OwnProductId>;

export const Product = v.union(
  [
    v.picklist(
      PRODUCTS.map((row) => row.product) as [HandbookProductId, ...HandbookProductId[]],
      'is not a product of the handbook',
    ),
    OwnProduct,
  ],
  'is not a product of the handbook, nor a recipe of the household',
);

export const Jar = v.picklist(JAR_SIZES, 'is not a jar size of the handbook');

export const PackSchema = v.picklist(['hot', 'raw'], 'must be hot or raw');
