import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Key } from '@/ui/Key';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { becomesWords } from '@/household/recipe/becomesWords';
import { usePageDrafts } from '@/store/pageDrafts';
import { useOwnRecipes } from '@/household/recipe/useOwnRecipes';

/** The household's own recipes: what each may become, and what is only half written down. */
export function RecipesScreen() {
  const router = useRouter();
  const recipes = useOwnRecipes();
  const { drafts } = usePageDrafts();
  const begun = Object.values(drafts).filter(({ id }) => !recipes.some((recipe) => recipe.id === id));
  return (
    <Screen
      station="bench"
      title="Our own recipes"
      backTo="/bench"
      foot={<Key tall words="Write one down" onPress={() => router.navigate('/bench/recipes/new')} />}
    >
      <View className="max-w-[640px] gap-3">
        <Words>
          Written down once, a recipe is planned, cooked and shelved like any other. With its tested page it may go to
          the shelf; without, to the refrigerator or the freezer, by what goes in.
        </Words>
        {recipes.length + begun.length === 0 && <Words weight={700}>None yet.</Words>}
        <View role="list" aria-label="Our own recipes">
          {[...begun, ...recipes].map((recipe) => (
            <View key={recipe.id} role="listitem">
              <RowLink
                href={{ pathname: '/bench/recipes/[id]', params: { id: recipe.id } }}
                className="min-h-[60px] justify-center border-t border-hair py-2"
              >
                <Words size="lead" weight={700}>
                  {recipe.name === '' ? 'Without a name yet' : recipe.name}
                </Words>
                <Words tone="ink-2">{drafts[recipe.id] ? 'being changed; not kept yet' : becomesWords(recipe)}</Words>
              </RowLink>
            </View>
          ))}
        </View>
      </View>
    </Screen>
  );
}
