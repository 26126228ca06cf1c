import { boilingWaterRows } from '../handbook/boilingWater';
import { JAR_SIZES, JARS, type JarSize } from '../handbook/jars';
import { pressureRows } from '../handbook/pressure';
import { type ProductId, productRow } from '../handbook/products';

/**
 * The largest jar a product was tested in, by any pack and method. A larger one is refused, a smaller one takes its time
 * (handbook rule 13).
 *
 * @returns undefined where nothing is tested
 */
export function largestTested(product: ProductId): JarSize | undefined {
  const { process } = productRow(product);
  const rows = [...boilingWaterRows(process), ...pressureRows(process)].filter(
    ({ confidence }) => confidence !== 'low',
  );
  const tested = new Set(rows.flatMap(({ jars }) => jars));
  return [...JAR_SIZES].sort((a, b) => JARS[b].nominalFlOz - JARS[a].nominalFlOz).find((jar) => tested.has(jar));
}
