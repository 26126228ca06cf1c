import { type JarSize } from '../handbook/jars';
import { type Method } from '../process/method';
import { type Canner, type OwnJar } from './canner';
import { capacityOf } from './capacity';

/**
 * Whether a canner takes so many jars of several sizes at once: as many of each size alone would fit too. On the safe side, since
 * small jars between large ones could be more.
 */
export function holdsMixed(
  canner: Canner,
  sizes: readonly JarSize[],
  jars: number,
  how: { readonly method: Method; readonly ownJars: readonly OwnJar[] },
): boolean {
  return sizes.every((size) => {
    const capacity = capacityOf(canner, size, how);
    return capacity.kind === 'holds' && capacity.jars >= jars;
  });
}
