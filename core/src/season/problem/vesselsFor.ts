import { type Canner, methodsOf } from '../../canner/canner';
import { capacityOf } from '../../canner/capacity';
import { waysToProcess } from '../../canner/waysToProcess';
import { type Vessels } from '../../canner/widestCanner';
import { type JarSize } from '../../handbook/jars';
import { type ProductRow } from '../../handbook/products';
import { type HouseholdPages } from '../../process/findProcess';
import { type Method } from '../../process/method';

/** A canner that holds much less than the widest is left for other jars. */
const NEARLY_AS_MANY = 0.8;

/** A canner that serves a tested method, and the jars it holds. */
export interface Vessel {
  readonly canner: Canner;
  readonly method: Method;
  readonly jars: number;
}

/** Every canner with the first method it serves; those that hold much less than the widest are left for other jars. */
export function vesselsFor(
  row: ProductRow,
  jar: JarSize,
  kitchen: Vessels & { readonly altitudeFt: number; readonly pages: HouseholdPages },
): Vessel[] | string {
  const { tested, served } = waysToProcess(kitchen, row, jar, kitchen.pages);
  if (tested.length === 0) return 'No tested process for that jar at this altitude.';
  if (served.length === 0) return 'No canner here does what it is tested for.';
  const able = kitchen.canners.flatMap((canner): Vessel[] => {
    const method = served.find((each) => methodsOf(canner).includes(each));
    if (!method) return [];
    const capacity = capacityOf(canner, jar, { method, ownJars: kitchen.ownJars });
    return capacity.kind === 'holds' ? [{ canner, method, jars: capacity.jars }] : [];
  });
  const widest = Math.max(0, ...able.map(({ jars }) => jars));
  const near = able.filter(({ jars }) => jars >= widest * NEARLY_AS_MANY);
  return near.length > 0 ? near : 'No canner here takes that jar.';
}
