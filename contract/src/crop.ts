import * as v from 'valibot';
import { JAR_SIZES } from '@hoddle/core/handbook/jars';
import { PRODUCE, type ProduceId } from '@hoddle/core/handbook/produce';
import { PRODUCTS, type ProductId } from '@hoddle/core/handbook/products';

export const Crop = v.picklist(
  PRODUCE.map((row) => row.crop) as [ProduceId, ...ProduceId[]],
  'is not a crop of the handbook',
);

export const Product = v.picklist(
  PRODUCTS.map((row) => row.product) as [ProductId, ...ProductId[]],
  'is not a product of the handbook',
);

export const Jar = v.picklist(JAR_SIZES, 'is not a jar size of the handbook');

export const PackSchema = v.picklist(['hot', 'raw'], 'must be hot or raw');
