import { countJars, type JarSize, JARS } from '@hoddle/core/handbook/jars';
import { ownProductId } from '@hoddle/core/handbook/ownIds';
import { findProduct, type ProductRow } from '@hoddle/core/handbook/products';
import { readyDaysOf } from '@hoddle/core/pantry/coldLot';
import { placeOf } from '@hoddle/core/pantry/place';
import { coldDaysWords } from '@hoddle/core/process/coldWays';
import { findTestedRow } from '@hoddle/core/process/findProcess';
import { isCold, type Way } from '@hoddle/core/process/method';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { isForShelf, judgedOnce } from '@hoddle/core/process/ownShelf';
import { testedInstead } from '@hoddle/core/process/testedInstead';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { JarChoice } from '@/ui/JarChoice';
import { METHOD_NAMES } from '@/household/process/methodNames';
import { ProcessPart } from '@/household/process/ProcessPart';
import { usePages } from '@/household/process/usePages';
import { MissingLines } from '@/household/recipe/MissingLines';
import { OptionalSteps } from '@/ui/OptionalSteps';
import { RecipeSheet } from '@/household/recipe/RecipeSheet';
import { sheetOfBatch } from '@/household/recipe/sheetOf';
import { usePantry } from '@/household/pantry/usePantry';
import { useHouseholdStore } from '@/store/householdStore';
import { StartPart } from '@/household/process/StartPart';
import { useHousehold } from '@/store/useHousehold';
import { Choice } from '@/ui/Choice';
import { hueOfProduct } from '@/ui/colours';
import { Key } from '@/ui/Key';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { CountStepper } from '@/ui/CountStepper';
import { Heading, Words } from '@/ui/Words';
import { FillingStrength } from './FillingStrength';
import { useMakeOwn } from './useMakeOwn';
import { useOwnRecipe } from '@/household/recipe/useOwnRecipes';

const SIZES: readonly JarSize[] = ['half-pint', 'pint', 'quart'];

/** A recipe of the household's own on the way into jars: to the shelf where its page allows it, or cold. */
export function MakeOwnScreen({ recipeId }: { recipeId: string }) {
  const recipe = useOwnRecipe(recipeId);
  const product = recipe && findProduct(ownProductId(recipe.id));
  if (!recipe || recipe.draft || !product) {
    return (
      <Screen station="plan" title="Nothing to make here" backTo="/bench/recipes">
        <Words>That recipe is not written down, or only half.</Words>
      </Screen>
    );
  }
  return <MakeOwn recipe={recipe} product={product} />;
}

function MakeOwn({ recipe, product }: { recipe: OwnRecipe; product: ProductRow }) {
  const router = useRouter();
  const { household } = useHousehold();
  const pages = usePages();
  const enter = useHouseholdStore((store) => store.enter);
  const make = useMakeOwn(recipe, product);
  const { jar, way, jars, all, card, amounts } = make;
  const plan = () => {
    const batch = make.toBatch();
    if (!batch) return;
    void enter({ kind: 'batch', batch }).then(() => router.navigate('/plan'));
  };
  const sizes = [...new Set([...SIZES, recipe.yields.jar, ...(recipe.source ? [recipe.source.jar] : [])])];
  const isReady = all > 0 && (isCold(way) || make.isServed);
  return (
    <Screen
      station="plan"
      title={recipe.name}
      note={make.batchWords}
      backTo={`/bench/recipes/${recipe.id}`}
      foot={isReady ? <Key tall words={`Plan ${countJars(all, jar)}`} onPress={plan} /> : undefined}
    >
      <View className="max-w-[720px] gap-5">
        <Choice
          label="Where to"
          value={way}
          onChoose={make.setWay}
          options={make.offered.map((each) => ({
            value: each,
            words: wayWords(each),
            note: isCold(each) ? undefined : METHOD_NAMES[each],
          }))}
        />
        <JarChoice
          sizes={sizes}
          value={jar}
          onChoose={make.setJar}
          colours={hueOfProduct(product.product)}
          isTested={() => true}
        />
        {isCold(way) ? (
          <ColdPart recipe={recipe} way={way} jar={jar} jars={all} />
        ) : (
          <TestedPart
            product={product}
            jar={jar}
            pack={recipe.pack}
            method={way}
            altitudeFt={household.altitudeFt}
            pages={pages}
          />
        )}
        {!isCold(way) && !make.isServed && <Words weight={700}>No canner is written down that processes it.</Words>}
        <View className="gap-2">
          <Heading>{jars.length > 1 ? 'Jars of each filling' : 'Jars'}</Heading>
          {jars.map(({ card: own, jars: count }) => (
            <View key={own.card} className="gap-1">
              {jars.length > 1 && (
                <FillingStrength card={own} jar={jar} pages={pages} altitudeFt={household.altitudeFt} />
              )}
              <CountStepper
                label={own.name ?? 'Jars'}
                count={count}
                of={count === 1 ? JARS[jar].one : JARS[jar].several}
                most={40}
                onCount={(next) => make.setCount(own.card, next)}
              />
            </View>
          ))}
        </View>
        {amounts && (
          <View className="gap-2">
            <Heading>What goes in</Heading>
            <RecipeSheet content={sheetOfBatch(amounts)} jar={jar} missing={make.missing} />
            <MissingLines missing={make.missing} />
            {card && <OptionalSteps card={card} without={make.without} onFlip={make.flipStep} />}
          </View>
        )}
        <View>
          <StartPart startAt={make.startAt} onStart={make.setStart} />
        </View>
      </View>
    </Screen>
  );
}

function wayWords(way: Way): string {
  return isCold(way) ? way : 'shelf';
}

interface TestedPartProps {
  product: ProductRow;
  jar: JarSize;
  pack: 'hot' | 'raw';
  method: Exclude<Way, 'refrigerator' | 'freezer'>;
  altitudeFt: number | null;
  pages: ReturnType<typeof usePages>;
}

function TestedPart({ product, jar, pack, method, altitudeFt, pages }: TestedPartProps) {
  const row = findTestedRow({ product: product.product, pack, jar, method }, pages);
  if (row.kind === 'refusal') return <Words weight={700}>{row.reason}</Words>;
  return <ProcessPart row={row} altitudeFt={altitudeFt} checkedRows={pages.checkedRows} />;
}

/** The way out: what the handbook has of the kind. */
function TestedInstead({ recipe }: { recipe: OwnRecipe }) {
  const instead = testedInstead(recipe);
  if (instead.length === 0) return null;
  return (
    <View>
      <Words>Tested for the shelf, by its own recipe:</Words>
      {instead.map(({ product, name }) => (
        <RowLink
          key={product}
          href={{ pathname: '/bench/tested/[product]', params: { product } }}
          className="min-h-[48px] justify-center"
        >
          <Words tone="cobalt" weight={700}>
            {name}
          </Words>
        </RowLink>
      ))}
    </View>
  );
}

/** How long it keeps cold and when it is ready, each filling by its own; and why it is not for the shelf, once. */
function ColdPart({ recipe, way, jar, jars }: { recipe: OwnRecipe; way: Way; jar: JarSize; jars: number }) {
  const { household } = useHousehold();
  const { stocked } = usePantry();
  const { room } = placeOf(household.places, way);
  const there = stocked.filter(({ place }) => place === way).reduce((sum, lot) => sum + lot.jars, 0);
  const { foods, faults } = judgedOnce(recipe);
  return (
    <View className="gap-2">
      <Words>
        Filled hot, cooled 20 minutes, then into the {way}: no canner. In clean {JARS[jar].several} with lids.
      </Words>
      {way === 'freezer' && (
        <Words weight={700}>
          Straight jars, 1 1/2 in free: food grows as it freezes, and full or shouldered glass cracks.
        </Words>
      )}
      {way === 'refrigerator' &&
        foods.map(({ card, coldDays }) => {
          const [low, high] = readyDaysOf(card, [recipe]);
          return (
            <Words key={card.card}>
              {foods.length > 1 ? `${card.name}: ` : ''}
              {high > 0 ? (
                <>
                  ready in{' '}
                  <Words weight={800}>
                    {low === high ? low : `${low} to ${high}`} {high === 1 ? 'day' : 'days'}
                  </Words>
                  ,{' '}
                </>
              ) : null}
              eat within <Words weight={800}>{coldDaysWords(coldDays)}</Words>
            </Words>
          );
        })}
      {room !== undefined && (
        <Words weight={there + jars > room ? 800 : 400} role={there + jars > room ? 'alert' : undefined}>
          {placeOf(household.places, way).name} holds {room} jars, {there} stand there
          {there + jars > room ? `: ${there + jars - room} too many` : ''}.
        </Words>
      )}
      <Words size="label" tone="ink-2">
        {isForShelf(recipe)
          ? 'It could go to the shelf by its tested page too.'
          : `Not for the shelf: ${faults?.[0]?.reason ?? 'nobody tested it, as far as is known.'}`}
      </Words>
      {!isForShelf(recipe) && <TestedInstead recipe={recipe} />}
    </View>
  );
}
