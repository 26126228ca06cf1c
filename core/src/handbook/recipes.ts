import { boilingWaterRows } from './boilingWater';
import { groupBy } from './groupBy';
import { pressureRows } from './pressure';
import { type ProductId, productRow } from './products';
import { type Cited, type Confidence, type Sourced } from './source';

type YieldJar = 'half-pint' | 'pint' | 'quart' | 'wide-mouth pint' | '12-oz' | 'none published that I recall';
type Row = readonly [
  ProductId,
  mainInputs: string,
  yieldLow: number | null,
  yieldHigh: number | null,
  YieldJar,
  Confidence,
];

/** Some products have several formulas; the kind then stands before the first colon. */
// One formula a line, its inputs as the page lists them.
// prettier-ignore
const ROWS: readonly Row[] = [
  ['apple-butter', '8 lb apples; 2 cups cider; 2 cups vinegar; 2.25 cups white sugar; 2.25 cups packed brown sugar; 2 tbsp cinnamon; 1 tbsp cloves', 8, 9, 'pint', 'high'],
  ['spiced-apple-rings', '12 lb firm tart apples; 12 cups sugar; 6 cups water; 1.25 cups 5% white vinegar; 3 tbsp whole cloves; 0.75 cup red cinnamon candies or 8 cinnamon sticks', 8, 9, 'pint', 'high'],
  ['spiced-crab-apples', '5 lb crab apples; 4.5 cups cider vinegar; 3.75 cups water; 7.5 cups sugar; 4 tsp whole cloves; 4 cinnamon sticks; 6 half-inch cubes ginger', 9, 9, 'pint', 'medium'],
  ['berry-syrup', '6.5 cups berries (giving 4.5-5 cups juice); 6.75 cups sugar', 9, 9, 'half-pint', 'high'],
  ['cranberry-orange-chutney', '24 oz cranberries; 2 cups onion; 2 cups golden raisins; 1.5 cups white sugar; 1.5 cups brown sugar; 2 cups white vinegar; 1 cup orange juice; 4 tsp grated ginger; 3 cinnamon sticks', 8, 8, 'half-pint', 'high'],
  ['mango-chutney', '11 cups (4 lb) unripe mango; 2.5 cups onion; 2.5 tbsp ginger; 1.5 tbsp garlic; 4.5 cups sugar; 3 cups white vinegar; 2.5 cups golden raisins; 1 tsp salt; 4 tsp chili powder', 6, 6, 'pint', 'high'],
  ['apple-pie-filling', '6 quarts blanched sliced apples; 5.5 cups sugar; 1.5 cups cook-type canning starch; 1 tbsp cinnamon; 2.5 cups cold water; 5 cups apple juice; 0.75 cup bottled lemon juice; 1 tsp nutmeg', 7, 7, 'quart', 'high'],
  ['apple-pie-filling', '3.5 cups blanched sliced apples; 0.75 cup + 2 tbsp sugar; 0.25 cup cook-type canning starch; 0.5 tsp cinnamon; 0.5 cup cold water; 0.75 cup apple juice; 2 tbsp bottled lemon juice', 1, 1, 'quart', 'high'],
  ['blueberry-pie-filling', '6 quarts blueberries; 6 cups sugar; 2.25 cups cook-type canning starch; 7 cups cold water; 0.5 cup bottled lemon juice', 7, 7, 'quart', 'high'],
  ['cherry-pie-filling', '6 quarts sour cherries; 7 cups sugar; 1.75 cups cook-type canning starch; 9.33 cups cold water; 0.5 cup bottled lemon juice', 7, 7, 'quart', 'high'],
  ['peach-pie-filling', '6 quarts sliced peaches; 7 cups sugar; 2 cups + 3 tbsp cook-type canning starch; 5.25 cups cold water; 1.75 cups bottled lemon juice', 7, 7, 'quart', 'high'],
  ['green-tomato-pie-filling', '4 quarts chopped green tomatoes; 3 quarts chopped tart apples; 1 lb dark raisins; 1 lb white raisins; 0.25 cup citrus peel; 2 cups water; 2.5 cups brown sugar; 2.5 cups white sugar; 0.5 cup vinegar; 1 cup bottled lemon juice', 7, 7, 'quart', 'high'],
  ['tomato-vegetable-juice', '22 lb tomatoes; not more than 3 cups mixed chopped celery onion carrot pepper', 7, 7, 'quart', 'high'],
  ['tomato-ketchup', '24 lb ripe tomatoes; 3 cups onions; 0.75 tsp cayenne; 3 cups 5% cider vinegar; 4 tsp whole cloves; 3 cinnamon sticks; 1.5 tsp allspice; 3 tbsp celery seed; 1.5 cups sugar; 0.25 cup salt', 6, 7, 'pint', 'high'],
  ['tomato-chile-salsa', '5 lb tomatoes; 2 lb chile peppers; 1 lb onions; 1 cup 5% vinegar; 3 tsp salt; 0.5 tsp pepper', 6, 8, 'pint', 'high'],
  ['tomato-salsa-paste-tomatoes', '7 quarts paste tomatoes; 4 cups long green chiles; 5 cups onion; 0.5 cup jalapenos; 6 cloves garlic; 2 cups bottled lemon or lime juice; 2 tbsp salt', 16, 18, 'pint', 'high'],
  ['tomatillo-green-salsa', '5 cups tomatillos; 1.5 cups long green chiles; 0.5 cup jalapenos; 4 cups onions; 1 cup bottled lemon or lime juice; 6 cloves garlic; 1 tbsp salt', 5, 5, 'pint', 'high'],
  ['tomato-taco-sauce', '8 quarts paste tomatoes; 2 cloves garlic; 5 cups onions; 4 jalapenos; 4 long green chiles; 2.5 cups vinegar; 2 tbsp salt; 1 tbsp sugar', 16, 18, 'pint', 'high'],
  ['spaghetti-sauce-no-meat', '30 lb tomatoes; 1 cup onions; 5 cloves garlic; 1 cup celery or green pepper; 1 lb mushrooms (optional); 4.5 tsp salt; 0.25 cup brown sugar; 0.25 cup oil', 9, 9, 'pint', 'high'],
  ['bread-and-butter-pickles', '6 lb pickling cucumbers; 8 cups sliced onions (about 3 lb); 0.5 cup salt; 4 cups 5% vinegar; 4.5 cups sugar; 2 tbsp mustard seed; 1.5 tbsp celery seed; 1 tbsp turmeric', 8, 8, 'pint', 'high'],
  ['zucchini-bread-and-butter', 'as bread-and-butter with slender zucchini or yellow squash in place of cucumbers', 8, 9, 'pint', 'low'],
  ['quick-fresh-pack-dill', '8 lb pickling cucumbers; 2 gal water; 1.25 cups salt; 1.5 quarts 5% vinegar; 0.25 cup sugar; 2 quarts water; 2 tbsp pickling spice; 3 tbsp mustard seed; 14 heads dill or 4.5 tbsp dill seed', 7, 9, 'pint', 'high'],
  ['sauerkraut', '25 lb cabbage; 0.75 cup canning salt', 9, 9, 'quart', 'high'],
  ['sweet-gherkins', '7 lb small cucumbers; 0.5 cup salt; 8 cups sugar; 6 cups 5% vinegar; 0.75 tsp turmeric; 2 tsp celery seed; 2 tsp pickling spice', 6, 7, 'pint', 'high'],
  ['quick-sweet-pickles', '8 lb pickling cucumbers; 0.33 cup salt; 4.5 cups sugar; 3.5 cups 5% vinegar; 2 tsp celery seed; 1 tbsp allspice; 2 tbsp mustard seed', 7, 9, 'pint', 'high'],
  ['fourteen-day-sweet', '4 lb pickling cucumbers; 0.75 cup salt in three parts; 2 tsp celery seed; 2 tbsp pickling spice; 5.5 cups sugar; 4 cups 5% vinegar', 5, 9, 'pint', 'high'],
  ['dilled-beans', '4 lb green or yellow beans; 8-16 heads dill; 8 cloves garlic (optional); 0.5 cup salt; 4 cups 5% white vinegar; 4 cups water; 1 tsp red pepper flakes', 8, 8, 'pint', 'high'],
  ['three-bean-salad', '1.5 cups green beans; 1.5 cups kidney beans; 1 cup garbanzos; 0.5 cup onion; 0.5 cup celery; 0.5 cup green pepper; 0.5 cup 5% white vinegar; 0.25 cup bottled lemon juice; 0.75 cup sugar; 0.25 cup oil; 1.25 cups water', 5, 6, 'half-pint', 'high'],
  ['pickled-beets', '7 lb beets; 4 cups 5% vinegar; 1.5 tsp salt; 2 cups sugar; 2 cups water; 2 cinnamon sticks; 12 cloves; 4-6 onions', 8, 8, 'pint', 'high'],
  ['pickled-carrots', '2.75 lb peeled carrots (about 3.5 lb as bought); 5.5 cups 5% white vinegar; 1 cup water; 2 cups sugar; 2 tsp salt; 8 tsp mustard seed; 4 tsp celery seed', 4, 4, 'pint', 'high'],
  ['pickled-cauliflower', '12 cups florets; 4 cups 5% white vinegar; 2 cups sugar; 2 cups onions; 1 cup red pepper; 2 tbsp mustard seed; 1 tbsp celery seed; 1 tsp turmeric', 9, 9, 'half-pint', 'high'],
  ['pickled-corn-relish', '10 cups corn kernels (16-20 ears); 2.5 cups red pepper; 2.5 cups green pepper; 2.5 cups celery; 1.25 cups onions; 1.75 cups sugar; 5 cups 5% vinegar; 2.5 tbsp salt; 2.5 tbsp dry mustard', 9, 9, 'pint', 'high'],
  ['cucumber-pickle-relish', '3 quarts chopped cucumbers; 3 cups green pepper; 3 cups red pepper; 1 cup onions; 0.75 cup salt; 4 cups ice; 8 cups water; 2 cups sugar; 6 cups 5% white vinegar', 9, 9, 'pint', 'high'],
  ['piccalilli', '6 cups green tomatoes; 1.5 cups red pepper; 1.5 cups green pepper; 2.25 cups onions; 7.5 cups cabbage; 0.5 cup salt; 3 tbsp pickling spice; 4.5 cups 5% vinegar; 3 cups brown sugar', 9, 9, 'half-pint', 'high'],
  ['pepper-onion-relish', '6 cups onions; 3 cups red pepper; 3 cups green pepper; 1.5 cups sugar; 6 cups 5% vinegar; 2 tbsp salt', 9, 9, 'half-pint', 'high'],
  ['pickled-bell-peppers', '7 lb bell peppers; 3.5 cups sugar; 3 cups 5% vinegar; 3 cups water; 9 cloves garlic; 4.5 tsp salt', 9, 9, 'pint', 'high'],
  ['pickled-hot-peppers', '4 lb hot long peppers; 3 lb sweet peppers; 5 cups 5% vinegar; 1 cup water; 4 tsp salt; 2 tbsp sugar; 2 cloves garlic', 9, 9, 'pint', 'high'],
  ['pickled-jalapeno-rings', '3 lb jalapenos; 1.5 cups pickling lime in 1.5 gal water; 7.5 cups 5% cider vinegar; 1.75 cups water; 2.5 tbsp salt; 3 tbsp celery seed; 6 tbsp mustard seed', 6, 6, 'pint', 'high'],
  ['pickled-yellow-pepper-rings', '2.5-3 lb yellow banana peppers; 2 tbsp celery seed; 4 tbsp mustard seed; 5 cups 5% cider vinegar; 1.25 cups water; 5 tsp salt', 4, 4, 'pint', 'high'],
  ['marinated-peppers', '4 lb peppers; 1 cup bottled lemon juice; 2 cups 5% white vinegar; 1 tbsp oregano; 1 cup oil; 0.5 cup onions; 2 cloves garlic (optional); 2 tbsp horseradish (optional)', 9, 9, 'half-pint', 'high'],
  ['pickled-asparagus', '10 lb asparagus; 6 cloves garlic; 4.5 cups water; 4.5 cups 5% white vinegar; 6 small hot peppers; 0.5 cup salt; 3 tsp dill seed', 6, 6, 'wide-mouth pint', 'high'],
  ['pickled-asparagus', '7 lb asparagus; 7 cloves garlic; 3 cups water; 3 cups 5% white vinegar; 7 small hot peppers; 0.33 cup salt', 7, 7, '12-oz', 'high'],
  ['pickled-green-tomatoes', '10-11 lb green tomatoes (16 cups sliced); 2 cups onions; 0.25 cup salt; 3 cups brown sugar; 4 cups 5% vinegar', 9, 9, 'pint', 'high'],
  ['green-tomato-relish', '10 lb green tomatoes; 1.5 lb red peppers; 1.5 lb green peppers; 2 lb onions; 0.5 cup salt; 1 quart water; 4 cups sugar; 1 quart 5% vinegar; 0.33 cup yellow mustard; 2 tbsp cornstarch', 7, 9, 'pint', 'high'],
  ['cantaloupe-pickles', '5 lb cantaloupe cubes; 4.5 cups 5% cider vinegar; 2 cups water; 1.5 cups white sugar; 1.5 cups light brown sugar; spices', 4, 4, 'pint', 'high'],
  ['watermelon-rind-pickles', '3 quarts (about 6 lb) rind; 0.75 cup salt; 3 quarts water; 2 quarts ice; 9 cups sugar; 3 cups 5% white vinegar; 3 cups water; 1 tbsp cloves; 6 cinnamon sticks; 1 lemon', 4, 5, 'pint', 'medium'],
  ['jelly-no-pectin', 'apple: 4 cups juice (about 3 lb apples); 3 cups sugar; 2 tbsp lemon juice (optional)', 4, 5, 'half-pint', 'high'],
  ['jelly-no-pectin', 'blackberry: 0.75-1 cup sugar per cup juice (table gives yield for 4 cups of juice; NCHFP recipe uses 8 cups juice and 6 cups sugar)', 7, 8, 'half-pint', 'medium'],
  ['jelly-with-pectin', 'grape-plum: 3.5 lb plums; 3 lb Concord grapes; 1 cup water; 8.5 cups sugar; 1 box (1.75 oz) powdered pectin', 10, 10, 'half-pint', 'high'],
  ['jelly-with-pectin', 'strawberry-rhubarb: 1.5 lb rhubarb; 1.5 quarts strawberries; 6 cups sugar; 6 oz liquid pectin', 7, 7, 'half-pint', 'high'],
  ['jelly-with-pectin', 'golden pepper: 5 cups yellow bell pepper; 0.5 cup serranos; 1.5 cups 5% white vinegar; 5 cups sugar; 3 oz liquid pectin', 5, 6, 'half-pint', 'high'],
  ['jelly-with-pectin', 'grape, powdered pectin: 5 cups juice (about 3.5 lb Concord grapes); 7 cups sugar; 1 box pectin', 8, 9, 'half-pint', 'medium'],
  ['jam-with-pectin', 'pear-apple: 2 cups pears (about 2 lb); 1 cup apples; 6.5 cups sugar; 0.33 cup bottled lemon juice; 6 oz liquid pectin', 7, 8, 'half-pint', 'high'],
  ['jam-with-pectin', 'blueberry-spice: 2.5 pints blueberries; 1 tbsp lemon juice; 5.5 cups sugar; 0.75 cup water; 1 box (1.75 oz) powdered pectin', 5, 5, 'half-pint', 'high'],
  ['jam-with-pectin', 'strawberry, powdered pectin: 5.5 cups crushed strawberries (about 3 quart boxes); 8 cups sugar; 1 box pectin', 9, 10, 'half-pint', 'medium'],
  ['jam-with-pectin', 'peach, powdered pectin: 3.75 cups crushed peaches (about 3 lb); 0.5 cup lemon juice; 5 cups sugar; 1 box pectin', 6, 6, 'half-pint', 'medium'],
  ['jam-no-pectin', 'berry: 4 cups crushed berries; 4 cups sugar', 3, 4, 'half-pint', 'high'],
  ['jam-no-pectin', 'apricot: 4-4.5 cups crushed apricots; 4 cups sugar; 2 tbsp lemon juice', 5, 6, 'half-pint', 'medium'],
  ['jam-no-pectin', 'peach: 5.5-6 cups crushed peaches; 4-5 cups sugar; 2 tbsp lemon juice', 6, 7, 'half-pint', 'medium'],
  ['fig-jam', '2 quarts chopped figs (about 5 lb); 6 cups sugar; 0.75 cup water; 0.25 cup lemon juice', 5, 5, 'pint', 'medium'],
  ['marmalade', 'citrus: 0.75 cup grapefruit peel; 0.75 cup orange peel; 0.33 cup lemon peel; 1 quart cold water; pulp of 1 grapefruit and 4 oranges; 2 cups boiling water; 3 cups sugar', 3, 4, 'half-pint', 'medium'],
  ['peach-pineapple-reduced-sugar-spread', '4 cups drained peach pulp; 2 cups drained unsweetened crushed pineapple; 0.25 cup bottled lemon juice; up to 2 cups sugar (optional)', 5, 6, 'half-pint', 'high'],
  ['dill-fermented', 'per gallon crock: 4 lb pickling cucumbers; 2 tbsp dill seed or 4-5 heads dill; 0.5 cup salt; 0.25 cup 5% vinegar; 8 cups water', null, null, 'none published that I recall', 'medium'],
  ['jelly-with-pectin', 'blackberry: 3.5 cups juice (about 3.5 quarts berries); 4.5 cups sugar; 1 box (1.75 oz) powdered pectin', 5, 6, 'half-pint', 'medium'],
  ['jam-with-pectin', 'plum or damson: 6 cups chopped plums (about 4 lb); 0.5 cup water; 0.25 cup lemon juice; 8 cups sugar; 1 box powdered pectin', 8, 9, 'half-pint', 'medium'],
];

/** A published formula: its proportions are what the tested time holds for. */
export interface RecipeRow extends Sourced {
  readonly product: ProductId;
  readonly mainInputs: string;
  /** Jars that one batch gives; undefined where none are published. */
  readonly yields?: { readonly low: number; readonly high: number };
  readonly yieldJar: YieldJar;
}

/** A formula stands on the page of the time that was tested with it. */
function pageOf(product: ProductId): Cited {
  const { process } = productRow(product);
  const row = boilingWaterRows(process)[0] ?? pressureRows(process)[0];
  if (!row) throw new RangeError(`no tested row for ${product}`);
  return { source: row.source, recalled: row.recalled };
}

/** Source: USDA Complete Guide to Home Canning, 2015, the guide of the product, and the National Center; as recalled. */
export const RECIPES: readonly RecipeRow[] = ROWS.map(([product, mainInputs, low, high, yieldJar, confidence]) => ({
  product,
  mainInputs,
  ...(low !== null && high !== null && { yields: { low, high } }),
  yieldJar,
  confidence,
  ...pageOf(product),
}));

const BY_PRODUCT = groupBy(
  RECIPES.filter(({ confidence }) => confidence !== 'low'),
  ({ product }) => product,
);

/** The formulas of a product that may go on the shelf: those recalled with confidence. No row, no formula. */
export function formulasOf(product: ProductId): readonly RecipeRow[] {
  return BY_PRODUCT.get(product) ?? [];
}
