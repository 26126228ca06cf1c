import { type JarSize, quartsPerJar } from '../../handbook/jars';
import { type ProductId } from '../../handbook/products';
import { byProductsOf } from '../../yields/byProducts';
import { type ByProductShare, type CropShare } from './seasonProblem';

/** What a jar of a product likely leaves over that another can be made of. */
export function givesOf(product: ProductId, { crop, kgPerJar }: CropShare): ByProductShare | undefined {
  const [gives] = byProductsOf(product, crop, kgPerJar);
  const perJar = gives?.quarts?.p50 ?? gives?.massKg;
  return gives && perJar !== undefined ? { kind: gives.kind, perJar } : undefined;
}

/**
 * What a jar of a product takes of another's rest, where it can be made of one. Thin juice is ladled off ready: a quart is
 * a quart. Peels and cores give juice as the fruit they are of.
 */
export function takesOf(product: ProductId, jar: JarSize, { crop, kgPerJar }: CropShare): ByProductShare | undefined {
  if (product === 'tomato-juice') return { kind: 'thin juice', perJar: quartsPerJar(jar) };
  return product === 'jelly-no-pectin' && crop === 'apple' ? { kind: 'peels and cores', perJar: kgPerJar } : undefined;
}
