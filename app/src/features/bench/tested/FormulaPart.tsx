import { cardToJsonLd } from '@hoddle/core/formats/recipeToJsonLd';
import { cardsOf, findCard } from '@hoddle/core/handbook/cards';
import { type ProductRow } from '@hoddle/core/handbook/products';
import { lineWords } from '@hoddle/core/recipe/cardWords';
import { printSpan } from '@hoddle/core/measure/span';
import { pageOfCard } from '@hoddle/core/recipe/own/pageOfCard';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { saveText } from '@/household/paper/files';
import { usePageDrafts } from '@/store/pageDrafts';
import { SmallKey } from '@/ui/SmallKey';
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
          <CardKeys id={card} />
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

/** A card out as a file, or the ground of a recipe of the household's own: changed, it is untested. */
function CardKeys({ id }: { id: string }) {
  const router = useRouter();
  const change = usePageDrafts((store) => store.change);
  const card = findCard(id);
  if (!card) return null;
  const own = () => {
    const { processing: _, ...page } = pageOfCard(card);
    const recipeId = uuidV7();
    change({ ...page, name: `${page.name}, our way`, id: recipeId, revision: 1 });
    router.navigate({ pathname: '/bench/recipes/[id]', params: { id: recipeId } });
  };
  return (
    <View className="flex-row flex-wrap gap-2 pt-2">
      <SmallKey
        words="As a file"
        onPress={() =>
          saveText(JSON.stringify(cardToJsonLd(card), null, 2), `${id.replace('/', '-')}.jsonld`, 'application/ld+json')
        }
      />
      <SmallKey words="Write our own from it" onPress={own} />
    </View>
  );
}
