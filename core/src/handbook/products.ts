import { type CropId } from './crops';
import { isOwnProduct, type OwnProductId } from './ownIds';
import { Laid } from './laidBeside';

/** What the food is, for its acid, its canner and how long it keeps once opened. */
export type ProductClass =
  'tomato' | 'fruit' | 'fruit-acidified' | 'recipe-acid' | 'pickle' | 'ferment' | 'spread' | 'low-acid';

type Row = readonly [
  product: string,
  name: string,
  otherNames: string,
  crops: string,
  form: string,
  kind: ProductClass,
  process: string,
  quantity: string,
  formula: '' | 'recipe',
  sequence: string,
  mayDouble: 'yes' | 'no',
  lowTemperatureBath: 'yes' | 'no',
  readyAfterDays: number,
];

/** In crops `+` is both and `|` either of what stands around it; steps follow one another with `>`. */
// One product a line, as the table is printed.
// prettier-ignore
const ROWS = [
  ['tomatoes-crushed', 'Crushed tomatoes', 'stewed tomatoes|quartered tomatoes', 'tomato-paste|tomato-slicing', 'peeled crushed', 'tomato', 'tomatoes-crushed', 'tomatoes-crushed', '', 'scald-peel>core>crush-heat>boil-5>acid>fill', 'yes', 'no', 0],
  ['tomatoes-whole-in-water', 'Whole tomatoes in water', 'halved tomatoes', 'tomato-paste|tomato-slicing', 'peeled whole', 'tomato', 'tomatoes-whole-in-water', 'tomatoes-whole-in-water', '', 'scald-peel>core>acid>raw-pack>top-up', 'yes', 'no', 0],
  ['tomatoes-whole-in-juice', 'Whole tomatoes in tomato juice', '', 'tomato-paste|tomato-slicing', 'peeled whole', 'tomato', 'tomatoes-whole-in-juice', 'tomatoes-whole-in-juice', '', 'scald-peel>core>acid>raw-pack>top-up', 'yes', 'no', 0],
  ['tomatoes-raw-no-liquid', 'Raw-pack tomatoes without liquid', 'pressed tomatoes', 'tomato-paste|tomato-slicing', 'peeled whole', 'tomato', 'tomatoes-raw-no-liquid', 'tomatoes-raw-no-liquid', '', 'scald-peel>core>acid>raw-pack', 'yes', 'no', 0],
  ['tomato-juice', 'Tomato juice', '', 'tomato-paste|tomato-slicing', 'juice', 'tomato', 'tomato-juice', 'tomato-juice', '', 'chop>simmer-5>food-mill>reheat>acid>fill', 'yes', 'no', 0],
  ['tomato-vegetable-juice', 'Tomato and vegetable juice', '', 'tomato-paste|tomato-slicing', 'juice', 'tomato', 'tomato-vegetable-juice', 'tomato-vegetable-juice', 'recipe', 'chop>simmer-20>food-mill>reheat>acid>fill', 'yes', 'no', 0],
  ['tomato-sauce-thin', 'Thin tomato sauce', 'passata', 'tomato-paste|tomato-slicing', 'sauce', 'tomato', 'tomato-sauce', 'tomato-sauce-thin', '', 'chop>simmer-5>food-mill>cook-down-third>acid>fill', 'yes', 'no', 0],
  ['tomato-sauce-thick', 'Thick tomato sauce', '', 'tomato-paste|tomato-slicing', 'sauce', 'tomato', 'tomato-sauce', 'tomato-sauce-thick', '', 'chop>simmer-5>food-mill>cook-down-half>acid>fill', 'yes', 'no', 0],
  ['tomato-ketchup', 'Ketchup', 'catsup', 'tomato-paste|tomato-slicing', 'sauce', 'recipe-acid', 'tomato-ketchup', '', 'recipe', 'chop>simmer-20>food-mill>cook-down-half>fill', 'no', 'no', 0],
  ['tomato-chile-salsa', 'Tomato and chile salsa', 'hot salsa', 'tomato-paste+pepper-hot+onion|tomato-slicing+pepper-hot+onion', 'chopped', 'recipe-acid', 'tomato-chile-salsa', '', 'recipe', 'scald-peel>chop>boil-10>fill', 'no', 'no', 0],
  ['tomato-salsa-paste-tomatoes', 'Paste-tomato salsa', '', 'tomato-paste+pepper-hot+onion', 'chopped', 'recipe-acid', 'tomato-salsa-paste-tomatoes', '', 'recipe', 'scald-peel>chop>simmer-20>fill', 'no', 'no', 0],
  ['tomatillo-green-salsa', 'Green salsa', 'tomatillo salsa', 'tomatillo+pepper-hot+onion', 'chopped', 'recipe-acid', 'tomatillo-green-salsa', '', 'recipe', 'husk>chop>simmer-20>fill', 'no', 'no', 0],
  ['tomato-taco-sauce', 'Taco sauce', '', 'tomato-paste+pepper-hot+onion', 'sauce', 'recipe-acid', 'tomato-taco-sauce', '', 'recipe', 'scald-peel>chop>cook-down-third>fill', 'no', 'no', 0],
  ['quick-fresh-pack-dill', 'Quick dill cucumbers', 'dill pickles', 'cucumber-pickling', 'whole', 'pickle', 'quick-fresh-pack-dill', '', 'recipe', 'wash-blossom-end>soak-brine-12h>raw-pack>hot-brine', 'yes', 'yes', 21],
  ['bread-and-butter-pickles', 'Bread-and-butter pickles', '', 'cucumber-pickling+onion', 'sliced', 'pickle', 'bread-and-butter-pickles', '', 'recipe', 'wash-blossom-end>slice>salt-ice-3h>drain>boil-10>fill', 'yes', 'yes', 28],
  ['quick-sweet-pickles', 'Quick sweet pickles', '', 'cucumber-pickling', 'sliced', 'pickle', 'quick-sweet-pickles', '', 'recipe', 'wash-blossom-end>slice>salt-ice-3h>drain>raw-pack>hot-brine', 'yes', 'yes', 28],
  ['sweet-gherkins', 'Sweet gherkins', '', 'cucumber-pickling', 'whole', 'pickle', 'sweet-gherkins', '', 'recipe', 'four-day-syrup>raw-pack>hot-brine', 'no', 'no', 28],
  ['fourteen-day-sweet', 'Fourteen-day sweet pickles', '', 'cucumber-pickling', 'whole', 'pickle', 'fourteen-day-sweet', '', 'recipe', 'fourteen-day-crock>raw-pack>hot-brine', 'no', 'no', 28],
  ['dill-fermented', 'Fermented dill cucumbers', 'crock dills', 'cucumber-pickling', 'whole', 'ferment', 'dill-fermented', '', 'recipe', 'wash-blossom-end>ferment-3wk>raw-pack>hot-brine', 'yes', 'yes', 0],
  ['sauerkraut', 'Sauerkraut', '', 'cabbage', 'shredded', 'ferment', 'sauerkraut', '', 'recipe', 'shred>salt-pack>ferment-3wk>fill', 'yes', 'no', 0],
  ['cucumber-pickle-relish', 'Cucumber relish', '', 'cucumber-pickling+pepper-sweet+onion', 'chopped', 'pickle', 'cucumber-pickle-relish', '', 'recipe', 'chop>salt-ice-4h>drain>spice-soak-8h>boil-10>fill', 'no', 'no', 7],
  ['piccalilli', 'Piccalilli', 'green tomato relish with cabbage', 'tomato-slicing+pepper-sweet+onion+cabbage', 'chopped', 'pickle', 'piccalilli', '', 'recipe', 'chop>salt-soak-12h>drain>simmer-20>fill', 'no', 'no', 7],
  ['pepper-onion-relish', 'Pepper and onion relish', '', 'pepper-sweet+onion', 'chopped', 'pickle', 'pepper-onion-relish', '', 'recipe', 'chop>simmer-30>fill', 'no', 'no', 7],
  ['green-tomato-relish', 'Green tomato relish', '', 'tomato-slicing+pepper-sweet+onion', 'chopped', 'pickle', 'green-tomato-relish', '', 'recipe', 'chop>boil-5>drain>simmer-5>fill', 'no', 'no', 7],
  ['pickled-green-tomatoes', 'Pickled green tomatoes', '', 'tomato-slicing+onion', 'sliced', 'pickle', 'pickled-green-tomatoes', '', 'recipe', 'slice>salt-soak-6h>drain>boil-10>fill', 'no', 'no', 21],
  ['dilled-beans', 'Dilled beans', 'pickled beans', 'bean-snap', 'whole trimmed', 'pickle', 'dilled-beans', '', 'recipe', 'trim>raw-pack>hot-brine', 'yes', 'no', 21],
  ['three-bean-salad', 'Three-bean salad', '', 'bean-snap', 'cut', 'pickle', 'three-bean-salad', '', 'recipe', 'trim>boil-5>marinate-12h>fill', 'no', 'no', 7],
  ['pickled-beets', 'Pickled beetroot', '', 'beet', 'sliced cooked', 'pickle', 'pickled-beets', '', 'recipe', 'boil-30-peel>slice>simmer-5>fill', 'yes', 'no', 21],
  ['pickled-carrots', 'Pickled carrots', '', 'carrot', 'sliced', 'pickle', 'pickled-carrots', '', 'recipe', 'peel>slice>simmer-10>fill', 'yes', 'no', 21],
  ['pickled-cauliflower', 'Pickled cauliflower', '', 'cauliflower+onion+pepper-sweet', 'florets', 'pickle', 'pickled-cauliflower', '', 'recipe', 'trim>boil-3>simmer-5>fill', 'no', 'no', 21],
  ['pickled-corn-relish', 'Corn relish', '', 'corn-sweet+pepper-sweet+onion', 'kernels', 'pickle', 'pickled-corn-relish', '', 'recipe', 'boil-5>cut-kernels>simmer-10>fill', 'no', 'no', 7],
  ['pickled-bell-peppers', 'Pickled sweet peppers', '', 'pepper-sweet', 'strips', 'pickle', 'pickled-bell-peppers', '', 'recipe', 'seed-slice>boil-1>raw-pack>hot-brine', 'yes', 'no', 21],
  ['pickled-hot-peppers', 'Pickled hot peppers', '', 'pepper-hot+pepper-sweet', 'whole slit', 'pickle', 'pickled-hot-peppers', '', 'recipe', 'slit>blister-peel>raw-pack>hot-brine', 'yes', 'no', 21],
  ['pickled-jalapeno-rings', 'Pickled hot pepper rings', '', 'pepper-hot', 'rings', 'pickle', 'pickled-jalapeno-rings', '', 'recipe', 'slice>lime-soak-18h>rinse>raw-pack>hot-brine', 'yes', 'no', 28],
  ['pickled-yellow-pepper-rings', 'Pickled banana pepper rings', 'yellow pepper rings', 'pepper-sweet', 'rings', 'pickle', 'pickled-yellow-pepper-rings', '', 'recipe', 'slice>raw-pack>hot-brine', 'yes', 'no', 21],
  ['marinated-peppers', 'Marinated peppers in oil brine', '', 'pepper-sweet', 'peeled', 'pickle', 'marinated-peppers', '', 'recipe', 'blister-peel>raw-pack>hot-brine', 'no', 'no', 7],
  ['pickled-asparagus', 'Pickled asparagus', '', 'asparagus', 'spears', 'pickle', 'pickled-asparagus', '', 'recipe', 'trim>raw-pack>hot-brine', 'yes', 'no', 21],
  ['zucchini-bread-and-butter', 'Zucchini bread-and-butter pickles', 'summer squash pickles', 'zucchini+onion', 'sliced', 'pickle', 'zucchini-bread-and-butter', '', 'recipe', 'slice>salt-ice-3h>drain>simmer-3>fill', 'no', 'no', 28],
  ['cantaloupe-pickles', 'Cantaloupe pickles', '', 'melon', 'cubed', 'pickle', 'cantaloupe-pickles', '', 'recipe', 'peel-cube>soak-18h>simmer-60>fill', 'no', 'no', 21],
  ['watermelon-rind-pickles', 'Watermelon rind pickles', '', 'melon', 'cubed', 'pickle', 'watermelon-rind-pickles', '', 'recipe', 'peel-cube>salt-soak-4h>soak-12h>simmer-20>fill', 'no', 'no', 21],
  ['apples-sliced', 'Apple slices', '', 'apple', 'sliced', 'fruit', 'apples-sliced', 'apples-sliced', '', 'peel-core>boil-5>fill', 'yes', 'no', 0],
  ['applesauce', 'Applesauce', 'apple purée', 'apple', 'sauce', 'fruit', 'applesauce', 'applesauce', '', 'core>simmer-20>food-mill>reheat>fill', 'yes', 'no', 0],
  ['apple-juice', 'Apple juice', '', 'apple', 'juice', 'fruit', 'apple-juice', '', '', 'settle-24h>strain>reheat>fill', 'yes', 'no', 0],
  ['apple-butter', 'Apple butter', '', 'apple', 'butter', 'recipe-acid', 'apple-butter', '', 'recipe', 'core>simmer-20>food-mill>cook-down-half>fill', 'no', 'no', 0],
  ['spiced-apple-rings', 'Spiced apple rings', '', 'apple', 'rings', 'recipe-acid', 'spiced-apple-rings', '', 'recipe', 'peel-core>simmer-10>fill', 'no', 'no', 14],
  ['spiced-crab-apples', 'Spiced crab apples', '', 'crab-apple', 'whole', 'recipe-acid', 'spiced-crab-apples', '', 'recipe', 'prick>simmer-20>soak-12h>reheat>fill', 'no', 'no', 14],
  ['apple-pie-filling', 'Apple pie filling', '', 'apple', 'sliced', 'recipe-acid', 'apple-pie-filling', '', 'recipe', 'peel-core>boil-1>thicken>fill', 'no', 'no', 0],
  ['blueberry-pie-filling', 'Blueberry pie filling', '', 'blueberry', 'whole', 'recipe-acid', 'blueberry-pie-filling', '', 'recipe', 'wash>boil-1>thicken>fill', 'no', 'no', 0],
  ['cherry-pie-filling', 'Sour cherry pie filling', '', 'cherry-sour', 'pitted', 'recipe-acid', 'cherry-pie-filling', '', 'recipe', 'pit>boil-1>thicken>fill', 'no', 'no', 0],
  ['peach-pie-filling', 'Peach pie filling', '', 'peach', 'sliced', 'recipe-acid', 'peach-pie-filling', '', 'recipe', 'scald-peel>slice>boil-1>thicken>fill', 'no', 'no', 0],
  ['green-tomato-pie-filling', 'Green tomato pie filling', '', 'tomato-slicing+apple', 'chopped', 'recipe-acid', 'green-tomato-pie-filling', '', 'recipe', 'chop>simmer-40>fill', 'no', 'no', 0],
  ['apricots', 'Apricots in syrup', '', 'apricot', 'halved', 'fruit', 'apricots', 'apricots', '', 'halve-pit>syrup>boil-5>fill', 'yes', 'no', 0],
  ['peaches', 'Peaches in syrup', '', 'peach', 'halved', 'fruit', 'peaches', 'peaches', '', 'scald-peel>halve-pit>syrup>boil-5>fill', 'yes', 'no', 0],
  ['nectarines', 'Nectarines in syrup', '', 'nectarine', 'halved', 'fruit', 'nectarines', 'nectarines', '', 'halve-pit>syrup>boil-5>fill', 'yes', 'no', 0],
  ['pears-halved', 'Pears in syrup', 'pear halves|pear slices', 'pear', 'halved', 'fruit', 'pears-halved', 'pears-halved', '', 'peel-core>syrup>boil-5>fill', 'yes', 'no', 0],
  ['asian-pears', 'Asian pears', '', 'asian-pear', 'halved', 'fruit-acidified', 'asian-pears', '', '', 'peel-core>syrup>boil-5>acid>fill', 'yes', 'no', 0],
  ['plums', 'Plums or damsons in syrup', 'damsons', 'plum|damson', 'whole or halved', 'fruit', 'plums', 'plums', '', 'wash-prick>syrup>boil-2>stand-30>fill', 'yes', 'no', 0],
  ['cherries-whole', 'Cherries', '', 'cherry-sweet|cherry-sour', 'whole', 'fruit', 'cherries-whole', 'cherries-whole', '', 'stem-pit>syrup>boil-1>fill', 'yes', 'no', 0],
  ['berries-whole', 'Whole berries', '', 'blackberry|blueberry|raspberry|gooseberry|currant', 'whole', 'fruit', 'berries-whole', 'berries-whole', '', 'wash>syrup>raw-pack>top-up', 'yes', 'no', 0],
  ['berry-syrup', 'Berry syrup', '', 'blackberry|blueberry|raspberry|strawberry', 'juice', 'recipe-acid', 'berry-syrup', '', 'recipe', 'crush-heat>drip-2h>boil-1>fill', 'no', 'no', 0],
  ['figs', 'Whole figs', '', 'fig', 'whole', 'fruit-acidified', 'figs', 'figs', '', 'boil-2>syrup>boil-5>acid>fill', 'yes', 'no', 0],
  ['fruit-puree', 'Fruit purée', 'pear sauce|plum purée', 'apple|pear|peach|plum|apricot|berry', 'sauce', 'fruit', 'fruit-puree', '', '', 'crush-heat>food-mill>reheat>fill', 'yes', 'no', 0],
  ['grape-juice', 'Grape juice', '', 'grape', 'juice', 'fruit', 'grape-juice', 'grape-juice', '', 'stem-crush>simmer-10>drip-2h>settle-24h>strain>reheat-boil>fill', 'yes', 'no', 0],
  ['grapes-whole', 'Whole grapes', '', 'grape', 'whole', 'fruit', 'grapes-whole', 'grapes-whole', '', 'stem>syrup>raw-pack>top-up', 'yes', 'no', 0],
  ['rhubarb-stewed', 'Stewed rhubarb', '', 'rhubarb', 'cut', 'fruit', 'rhubarb-stewed', 'rhubarb-stewed', '', 'cut>sugar-stand-1h>boil-1>fill', 'yes', 'no', 0],
  ['pineapple', 'Pineapple', '', 'pineapple', 'cubed', 'fruit', 'pineapple', 'pineapple', '', 'peel-core>syrup>simmer-10>fill', 'yes', 'no', 0],
  ['cranberry-orange-chutney', 'Cranberry orange chutney', '', 'cranberry', 'chopped', 'recipe-acid', 'cranberry-orange-chutney', '', 'recipe', 'chop>simmer-20>fill', 'no', 'no', 14],
  ['mango-chutney', 'Mango chutney', '', 'mango', 'chopped', 'recipe-acid', 'mango-chutney', '', 'recipe', 'chop>simmer-30>fill', 'no', 'no', 14],
  ['jam-with-pectin', 'Jam with added pectin', '', 'strawberry|blueberry|peach|pear|plum|damson|blackberry|raspberry|gooseberry|cherry-sour', 'crushed', 'spread', 'jam-with-pectin', '', 'recipe', 'crush-measure>boil-1-hard>skim>fill', 'no', 'no', 0],
  ['jam-no-pectin', 'Jam without added pectin', 'long-boil jam', 'blackberry|raspberry|apricot|peach|plum|damson|gooseberry', 'crushed', 'spread', 'jam-no-pectin', '', 'recipe', 'crush-measure>boil-to-set-25>skim>fill', 'no', 'no', 0],
  ['jelly-with-pectin', 'Jelly with added pectin', '', 'blackberry|grape|plum|strawberry+rhubarb|pepper-sweet+pepper-hot', 'juice', 'spread', 'jelly-with-pectin', '', 'recipe', 'crush-heat>drip-4h>measure-juice>boil-1-hard>skim>fill', 'no', 'no', 0],
  ['jelly-no-pectin', 'Jelly without added pectin', '', 'apple|blackberry|quince|crab-apple|gooseberry', 'juice', 'spread', 'jelly-no-pectin', '', 'recipe', 'crush-heat>drip-4h>measure-juice>boil-to-set-15>skim>fill', 'no', 'no', 0],
  ['fig-jam', 'Fig jam', '', 'fig', 'chopped', 'spread', 'fig-jam', '', 'recipe', 'chop>stand-15>boil-to-set-25>fill', 'no', 'no', 0],
  ['marmalade', 'Citrus marmalade', '', 'citrus', 'sliced', 'spread', 'marmalade', '', 'recipe', 'peel-slice>simmer-60>boil-to-set-15>fill', 'no', 'no', 0],
  ['peach-pineapple-reduced-sugar-spread', 'Peach and pineapple spread with little sugar', '', 'peach', 'crushed', 'spread', 'peach-pineapple-reduced-sugar-spread', '', 'recipe', 'scald-peel>crush-heat>simmer-15>fill', 'no', 'no', 0],
  ['snap-beans', 'Green beans', 'pole beans', 'bean-snap', 'cut', 'low-acid', 'snap-beans', 'snap-beans', '', 'trim>boil-5>fill', 'yes', 'no', 0],
  ['beets', 'Beetroot', '', 'beet', 'sliced cooked', 'low-acid', 'beets', 'beets', '', 'boil-30-peel>slice>fill', 'yes', 'no', 0],
  ['carrots', 'Carrots', '', 'carrot', 'sliced', 'low-acid', 'carrots', 'carrots', '', 'peel>slice>boil-5>fill', 'yes', 'no', 0],
  ['corn-whole-kernel', 'Sweet corn', '', 'corn-sweet', 'kernels', 'low-acid', 'corn-whole-kernel', 'corn-whole-kernel', '', 'boil-5>cut-kernels>fill', 'yes', 'no', 0],
  ['peas', 'Peas', '', 'pea', 'shelled', 'low-acid', 'peas', 'peas', '', 'shell>boil-2>fill', 'yes', 'no', 0],
  ['lima-beans', 'Lima beans', '', 'lima-bean', 'shelled', 'low-acid', 'lima-beans', 'lima-beans', '', 'shell>boil-1>fill', 'yes', 'no', 0],
  ['okra', 'Okra', '', 'okra', 'whole', 'low-acid', 'okra', 'okra', '', 'trim>boil-2>fill', 'yes', 'no', 0],
  ['asparagus', 'Asparagus', '', 'asparagus', 'spears', 'low-acid', 'asparagus', 'asparagus', '', 'trim>boil-3>fill', 'yes', 'no', 0],
  ['spinach-greens', 'Spinach and greens', '', 'greens', 'leaves', 'low-acid', 'spinach-greens', 'spinach-greens', '', 'wash>steam-5>fill', 'yes', 'no', 0],
  ['pumpkin-winter-squash', 'Pumpkin or winter squash cubes', '', 'squash', 'cubed', 'low-acid', 'pumpkin-winter-squash', 'pumpkin-winter-squash', '', 'peel-cube>boil-2>fill', 'yes', 'no', 0],
  ['potatoes-white', 'Potatoes', '', 'potato', 'cubed', 'low-acid', 'potatoes-white', 'potatoes-white', '', 'peel-cube>boil-10>fill', 'yes', 'no', 0],
  ['sweet-potatoes', 'Sweet potatoes', '', 'sweet-potato', 'chunks', 'low-acid', 'sweet-potatoes', 'sweet-potatoes', '', 'steam-20-peel>fill', 'yes', 'no', 0],
  ['peppers', 'Peppers', '', 'pepper-sweet', 'peeled', 'low-acid', 'peppers', 'peppers', '', 'blister-peel>fill', 'yes', 'no', 0],
  ['dried-beans', 'Dried beans', '', 'dried-bean', 'soaked', 'low-acid', 'dried-beans', 'dried-beans', '', 'soak-12h>boil-30>fill', 'yes', 'no', 0],
  ['mushrooms', 'Mushrooms', '', 'mushroom', 'sliced', 'low-acid', 'mushrooms', 'mushrooms', '', 'trim>boil-5>fill', 'yes', 'no', 0],
  ['vegetable-soup', 'Vegetable soup', '', 'mixed', 'chopped', 'low-acid', 'vegetable-soup', '', '', 'chop>boil-5>fill', 'no', 'no', 0],
  ['spaghetti-sauce-no-meat', 'Spaghetti sauce without meat', 'pasta sauce', 'tomato-paste|tomato-slicing', 'sauce', 'low-acid', 'spaghetti-sauce-no-meat', '', 'recipe', 'chop>boil-20>food-mill>cook-down-half>fill', 'no', 'no', 0],
] as const satisfies readonly Row[];

/** A product of the handbook. */
export type HandbookProductId = (typeof ROWS)[number][0];
/** A product of the handbook, or a recipe of the household's own. */
export type ProductId = HandbookProductId | OwnProductId;
/** Key of a product's rows in the tables of tested times; two products may share one, and an own recipe has none. */
export type ProcessId = (typeof ROWS)[number][6] | 'own';

export interface ProductRow {
  readonly product: ProductId;
  readonly name: string;
  readonly otherNames: readonly string[];
  /** Each inner list is one way to make it; all crops of the list are needed. */
  readonly crops: readonly (readonly CropId[])[];
  /** How it is cut or cooked, in words: "peeled crushed". */
  readonly form: string;
  readonly productClass: ProductClass;
  readonly process: ProcessId;
  /** Whether pounds per load are published for it. */
  readonly hasQuantity: boolean;
  /** Whether its time holds for a published formula only. */
  readonly hasFormula: boolean;
  /** The steps in the order done; `boil-5` is the step `boil-N` with 5 minutes. */
  readonly sequence: readonly string[];
  readonly mayDouble: boolean;
  readonly lowTemperatureBath: boolean;
  /** Days on the shelf before it is at its best. */
  readonly readyAfterDays: number;
}

/** Source: USDA Complete Guide to Home Canning, 2015, and the National Center, as recalled; sequences are common practice. */
export const PRODUCTS: readonly ProductRow[] = ROWS.map(
  ([
    product,
    name,
    others,
    crops,
    form,
    productClass,
    process,
    quantity,
    formula,
    sequence,
    double,
    lowBath,
    days,
  ]) => ({
    product,
    name,
    otherNames: others === '' ? [] : others.split('|'),
    crops: crops.split('|').map((all) => all.split('+') as CropId[]),
    form,
    productClass,
    process,
    hasQuantity: (quantity as string) !== '',
    hasFormula: formula === 'recipe',
    sequence: sequence.split('>'),
    mayDouble: double === 'yes',
    lowTemperatureBath: lowBath === 'yes',
    readyAfterDays: days,
  }),
);

/** A household's own recipes as products, by id. */
export const ownProducts = new Laid<ReadonlyMap<string, ProductRow>>(new Map());

const BY_ID = new Map<string, ProductRow>(PRODUCTS.map((row) => [row.product, row]));

/** The product's row, or undefined when neither the handbook nor the household has it. */
export function findProduct(product: string): ProductRow | undefined {
  return BY_ID.get(product) ?? ownProducts.now.get(product);
}

/** Every product there is to choose from: the handbook's in its order, then the household's own. */
export function allProducts(): readonly ProductRow[] {
  return ownProducts.now.size === 0 ? PRODUCTS : [...PRODUCTS, ...ownProducts.now.values()];
}

/** The row of a product known to exist. @throws RangeError for an id the handbook does not have. */
export function productRow(product: string): ProductRow {
  const row = findProduct(product) ?? (isOwnProduct(product) ? goneRecipe(product) : undefined);
  if (!row) throw new RangeError(`no product ${JSON.stringify(product)} in the handbook`);
  return row;
}

/** A recipe that is not written down any more, of which jars are left: it keeps as what keeps least. */
function goneRecipe(product: OwnProductId): ProductRow {
  return {
    product,
    name: 'A recipe that is gone',
    otherNames: [],
    crops: [],
    form: '',
    productClass: 'low-acid',
    process: 'own',
    hasQuantity: false,
    hasFormula: true,
    sequence: [],
    mayDouble: false,
    lowTemperatureBath: false,
    readyAfterDays: 0,
  };
}

/** Whether a product is made of one crop and nothing else that must be grown. */
export function isMadeOf({ crops }: ProductRow, crop: string): boolean {
  return crops.some((all) => all.length === 1 && all[0] === crop);
}

/** The products made of one crop and nothing else that must be grown. */
export function productsOf(crop: string): ProductRow[] {
  return allProducts().filter((row) => isMadeOf(row, crop));
}
