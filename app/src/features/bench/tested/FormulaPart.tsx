import { type ProductRow } from '@hoddle/core/handbook/products';
import { formulasOf } from '@hoddle/core/handbook/recipes';
import { inKitchenFractions, readFormula } from '@hoddle/core/handbook/formula';
import { printSpan } from '@hoddle/core/measure/span';
import { View } from 'react-native';
import { Heading, Words } from '@/ui/Words';

/** The published formulas a product's time was tested with, ingredient by ingredient, and what a batch of each gives. */
export function FormulaPart({ product }: { product: ProductRow }) {
  const formulas = formulasOf(product.product);
  if (formulas.length === 0) return null;
  return (
    <View className="gap-3">
      <Heading>{formulas.length === 1 ? 'The formula' : `One of ${formulas.length} formulas`}</Heading>
      {formulas.map(({ mainInputs, yields, yieldJar }) => {
        const { kind, ingredients } = readFormula(mainInputs);
        return (
          <View key={mainInputs}>
            {kind !== '' && <Words weight={700}>{kind.replace(/^./, (letter) => letter.toUpperCase())}</Words>}
            <View role="list" aria-label={kind === '' ? 'Ingredients' : `Ingredients, ${kind}`}>
              {ingredients.map(({ text }) => (
                <View key={text} role="listitem" className="border-l-4 border-hair pl-3">
                  <Words>{inKitchenFractions(text)}</Words>
                </View>
              ))}
            </View>
            {yields && (
              <Words tone="ink-2">
                Gives {printSpan(yields)} {yieldJar} jars.
              </Words>
            )}
          </View>
        );
      })}
      <Words tone="ink-2">
        {product.productClass === 'spread'
          ? 'Dry spices are fine. Another kind of pectin, less sugar or a doubled batch is another jam, which was not tested.'
          : 'Less of a low-acid vegetable, dry spices and any vinegar of 5 % are fine. More vegetables, less acid, more water, oil or flour end the tested time.'}
      </Words>
    </View>
  );
}
