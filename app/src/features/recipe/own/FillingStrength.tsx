import { type Card } from '@hoddle/core/handbook/cards/card';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { productsOf } from '@hoddle/core/handbook/products';
import { isOwnProduct } from '@hoddle/core/handbook/ownIds';
import { usualPack } from '@hoddle/core/handbook/usualPack';
import { cardsOf } from '@hoddle/core/handbook/cards';
import { printFraction } from '@hoddle/core/measure/fraction';
import { findProcess, type HouseholdPages } from '@hoddle/core/process/findProcess';
import { acidOfFood, vinegarPart } from '@hoddle/core/recipe/own/acidOfFood';
import { mainLineOf } from '@hoddle/core/recipe/own/mainLineOf';
import { View } from 'react-native';
import { Words } from '@/ui/Words';

interface FillingStrengthProps {
  card: Card;
  jar: JarSize;
  pages: HouseholdPages;
  altitudeFt: number | null;
}

/** One filling: how strong its liquid is beside the tested mix of that vegetable, and what the shelf would say of it. */
export function FillingStrength({ card, jar, pages, altitudeFt }: FillingStrengthProps) {
  const own = vinegarPart(acidOfFood(card));
  const tested = testedPickle(card);
  const part = tested && vinegarPart(acidOfFood(tested.card));
  const answer =
    tested && altitudeFt !== null
      ? findProcess(
          {
            product: tested.product.product,
            pack: usualPack(tested.product),
            jar,
            method: 'boiling-water',
            altitudeFt,
          },
          pages,
        )
      : undefined;
  return (
    <View>
      <Words weight={700}>{card.name}</Words>
      <Words size="label" tone="ink-2">
        Vinegar {ratio(own)} of the liquid
        {part === undefined ? '; no tested pickle of it to lay beside' : `; tested ${ratio(part)}`}.
      </Words>
      {tested && (
        <Words size="label" tone="ink-2">
          For the shelf only as {tested.product.name.toLowerCase()} of the handbook
          {answer?.kind === 'tested'
            ? `, ${answer.minutes} min`
            : answer?.kind === 'refusal'
              ? `: ${answer.reason}`
              : ''}
          ; this mix was never tested.
        </Words>
      )}
      {!tested && (
        <Words size="label" tone="ink-2">
          For the shelf nobody tested it.
        </Words>
      )}
    </View>
  );
}

/** "1/2", "all". */
function ratio(part: number): string {
  return part >= 0.995 ? 'all' : printFraction(part, 8);
}

/** The handbook's pickle of a filling's vegetable. */
function testedPickle(card: Card) {
  const crop = mainLineOf(card)?.crops[0];
  if (crop === undefined) return undefined;
  const products = productsOf(crop).filter(
    ({ productClass, product }) => productClass === 'pickle' && !isOwnProduct(product),
  );
  return products.flatMap((product) => {
    const [first] = cardsOf(product.product);
    return first ? [{ product, card: first }] : [];
  })[0];
}
