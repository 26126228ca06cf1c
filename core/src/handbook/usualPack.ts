import { boilingWaterRows, type Pack } from './boilingWater';
import { cardsOf } from './cards';
import { pressureRows } from './pressure';
import { type ProductRow } from './products';

/**
 * The pack a product's own card makes, where that pack is tested; else the other one. Where the card leaves it
 * open it is hot: less air, less floating, fewer jars (common practice).
 */
export function usualPack(product: ProductRow): Pack {
  const tested = packsOf(product);
  const isRaw = cardsOf(product.product)[0]?.steps.some(({ step }) => step === 'raw-pack');
  const own: Pack = isRaw ? 'raw' : 'hot';
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
