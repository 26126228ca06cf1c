import { cardsOf } from '@hoddle/core/handbook/cards';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { lineWords } from '@hoddle/core/recipe/cardWords';
import { printSpan } from '@hoddle/core/measure/span';
import { View } from 'react-native';
import { Heading, Words } from '@/ui/Words';

/** The published recipes a product's time was tested with, one batch as printed: what goes in, what is poured off, what it gives. */
export function FormulaPart({ product }: { product: ProductRow }) {
  const cards = cardsOf(product.product);
  if (cards.length === 0) return null;
  return (
    <View className="gap-3">
      <Heading>{cards.length === 1 ? 'The recipe, one batch as printed' : `One of ${cards.length} recipes`}</Heading>
      {cards.map(({ card, kind, ingredients, yields, caution }) => (
        <View key={card}>
          {kind !== '' && <Words weight={700}>{kind.replace(/^./, (letter) => letter.toUpperCase())}</Words>}
          <View role="list" aria-label={kind === '' ? 'Ingredients' : `Ingredients, ${kind}`}>
            {ingredients.map((line) => (
              <View key={line.item + line.into} role="listitem" className="border-l-4 border-hair pl-3">
                <Words>
                  {lineWords(line)}
                  {line.then === 'drained' && <Words tone="ink-2">, poured off</Words>}
                  {line.then === 'taken-out' && <Words tone="ink-2">, fished out</Words>}
                </Words>
              </View>
            ))}
          </View>
          {yields && (
            <Words tone="ink-2">
              Gives {printSpan(yields)} {yields.jar} jars.
            </Words>
          )}
          {caution !== undefined && <Words weight={600}>{caution}</Words>}
        </View>
      ))}
      <Words tone="ink-2">
        {product.productClass === 'spread'
          ? 'Dry spices are fine. Another kind of pectin, less sugar or a doubled batch is another jam, which was not tested.'
          : 'Less of a low-acid vegetable, dry spices and any vinegar of 5 % are fine. More vegetables, less acid, more water, oil or flour end the tested time.'}
      </Words>
    </View>
  );
}
