import { boilingWaterRows, type Pack } from './boilingWater';
import { pressureRows } from './pressure';
import { type ProductRow } from './products';

/**
 * The pack a product's own sequence makes, where that pack is tested; else the other one. Where the sequence leaves it
 * open it is hot: less air, less floating, fewer jars (common practice).
 */
export function usualPack(product: ProductRow): Pack {
  const tested = packsOf(product);
  const own: Pack = product.sequence.includes('raw-pack') ? 'raw' : 'hot';
  return tested.includes(own) ? own : (tested[0] ?? own);
}

/** Every pack with a tested row of any method, hot first. */
export function packsOf({ process }: ProductRow): Pack[] {
  const packs = new Set<Pack>([
    ...boilingWaterRows(process).flatMap((row) => row.packs),
    ...pressureRows(process).map((row) => row.pack),
  ]);
  return (['hot', 'raw'] as const).filter((pack) => packs.has(pack));
}
