import { type Fate, type Role } from '../../handbook/cards/card';
import { type CropId } from '../../handbook/crops';
import { type OpenQuestion } from './recipePage';

/** A line as people write it, and how a cook would read it. Amounts in the unit named. */
export interface WrittenExample {
  readonly text: string;
  readonly amount: readonly [low: number, high: number, unit: string] | string;
  readonly item: RegExp;
  readonly role: Role;
  readonly crop?: CropId;
  readonly then?: Fate;
  /** What a careful cook would ask. */
  readonly open?: OpenQuestion;
}

const one = (count: number, unit: string) => [count, count, unit] as const;

/** Sixty lines in the spellings of books, leaflets, index cards, letters and screens; typed by hand, their readings too. */
// One line a row.
// prettier-ignore
export const WRITTEN_LINES: readonly WrittenExample[] = [
  { text: '16 c. sliced zucchini', amount: one(16, 'cup'), item: /zucchini/, role: 'low-acid', crop: 'zucchini' },
  { text: '4 onions, sliced thin', amount: one(4, 'piece'), item: /onion/, role: 'low-acid', crop: 'onion' },
  { text: '1/2 c salt, for soaking', amount: one(0.5, 'cup'), item: /salt/, role: 'salt', then: 'drained' },
  { text: '4 c vinegar', amount: one(4, 'cup'), item: /vinegar/, role: 'vinegar', open: 'strength' },
  { text: '2 c sugar', amount: one(2, 'cup'), item: /sugar/, role: 'sugar' },
  { text: '1 stick cinnamon, tied in a bag, take out', amount: one(1, 'piece'), item: /cinnamon/, role: 'spice', then: 'taken-out' },
  { text: 'some dill', amount: 'some', item: /dill/, role: 'spice', crop: 'dill', open: 'where' },
  { text: '1 clove garlic in each jar', amount: one(1, 'piece'), item: /garlic/, role: 'low-acid', crop: 'garlic', then: 'per-jar' },
  { text: '2 1/2 cups 5% white vinegar', amount: one(2.5, 'cup'), item: /white vinegar/, role: 'vinegar' },
  { text: '1½ cups cider vinegar (5 %)', amount: one(1.5, 'cup'), item: /cider vinegar/, role: 'vinegar' },
  { text: '3 1/4 lb damsons', amount: one(3.25, 'lb'), item: /damson/, role: 'acid-food', crop: 'damson' },
  { text: '1 cup packed fresh mint leaves, tied in cheesecloth', amount: one(1, 'cup'), item: /mint/, role: 'low-acid', then: 'taken-out' },
  { text: '3 cups sugar', amount: one(3, 'cup'), item: /sugar/, role: 'sugar' },
  { text: '1 box low-sugar pectin', amount: one(1, 'box'), item: /pectin/, role: 'pectin' },
  { text: '2 Tbsp bottled lemon juice', amount: one(2, 'tbsp'), item: /lemon juice/, role: 'lemon' },
  { text: '¼ tsp butter (optional)', amount: one(0.25, 'tsp'), item: /butter/, role: 'oil' },
  { text: '7 # tomatoes, peeled & chopped', amount: one(7, 'lb'), item: /tomatoes/, role: 'acid-food', crop: 'tomato-paste' },
  { text: '4 cups chopped onions', amount: one(4, 'cup'), item: /onions/, role: 'low-acid', crop: 'onion' },
  { text: '1/2 cup jalapeños, seeded and minced', amount: one(0.5, 'cup'), item: /jalape/, role: 'low-acid', crop: 'pepper-hot' },
  { text: '6 cloves garlic, minced', amount: one(6, 'piece'), item: /garlic/, role: 'low-acid', crop: 'garlic' },
  { text: '2 cups bottled lemon or lime juice', amount: one(2, 'cup'), item: /juice/, role: 'lemon' },
  { text: '1 T. salt', amount: one(1, 'tbsp'), item: /salt/, role: 'salt' },
  { text: '1 t. ground cumin', amount: one(1, 'tsp'), item: /cumin/, role: 'spice' },
  { text: '- 3 to 4 lbs pickling cucumbers (4 inch)', amount: [3, 4, 'lb'], item: /cucumber/, role: 'low-acid', crop: 'cucumber-pickling' },
  { text: '8 heads fresh dill, 1 per jar', amount: one(8, 'piece'), item: /dill/, role: 'spice', crop: 'dill', then: 'per-jar' },
  { text: '1 tbsp mustard seed', amount: one(1, 'tbsp'), item: /mustard seed/, role: 'spice' },
  { text: '2 quarts water', amount: one(2, 'quart'), item: /water/, role: 'water' },
  { text: '6 cups vinegar, 5 percent', amount: one(6, 'cup'), item: /vinegar/, role: 'vinegar' },
  { text: '3/4 cup canning salt', amount: one(0.75, 'cup'), item: /salt/, role: 'salt' },
  { text: '1 kg Zwiebeln', amount: one(2.2046, 'lb'), item: /zwiebeln/i, role: 'low-acid', open: 'food' },
  { text: '500 g blackberries', amount: one(1.1023, 'lb'), item: /blackberr/, role: 'acid-food', crop: 'blackberry' },
  { text: '750 ml white wine vinegar 6%', amount: one(3.17, 'cup'), item: /wine vinegar/, role: 'vinegar' },
  { text: 'Sugar: 5 cups', amount: one(5, 'cup'), item: /sugar/, role: 'sugar' },
  { text: 'crushed ice', amount: 'some', item: /ice/, role: 'ice', then: 'drained' },
  { text: '3 dozen ears sweet corn', amount: one(36, 'piece'), item: /corn/, role: 'low-acid', crop: 'corn-sweet' },
  { text: '1 gal. crock salt brine', amount: one(1, 'gallon'), item: /brine/, role: 'salt', open: 'where' },
  { text: '2 red bell peppers, diced', amount: one(2, 'piece'), item: /bell pepper/, role: 'low-acid', crop: 'pepper-sweet' },
  { text: '1 small head cabbage, shredded', amount: one(1, 'piece'), item: /cabbage/, role: 'low-acid', crop: 'cabbage' },
  { text: 'salt to taste', amount: 'to taste', item: /salt/, role: 'salt' },
  { text: 'water to cover', amount: 'to cover', item: /water/, role: 'water' },
  { text: '1/4 teaspoon calcium chloride per quart', amount: one(0.25, 'tsp'), item: /calcium/, role: 'firming', then: 'per-jar' },
  { text: '2 bay leaves', amount: one(2, 'piece'), item: /bay/, role: 'spice' },
  { text: 'Half a cup of honey', amount: one(0.5, 'cup'), item: /honey/, role: 'sugar' },
  { text: '1 cup + 2 Tbsp vinegar (5%)', amount: one(1.125, 'cup'), item: /vinegar/, role: 'vinegar' },
  { text: '4 pints strawberries, hulled', amount: one(4, 'pint'), item: /strawberr/, role: 'acid-food', crop: 'strawberry' },
  { text: '12 figs', amount: one(12, 'piece'), item: /figs/, role: 'acid-food', crop: 'fig' },
  { text: '1 cup rice vinegar (4.2%)', amount: one(1, 'cup'), item: /rice vinegar/, role: 'vinegar' },
  { text: '2 C green beans, cut', amount: one(2, 'cup'), item: /beans/, role: 'low-acid', crop: 'bean-snap' },
  { text: '1/3 cup olive oil', amount: one(1 / 3, 'cup'), item: /oil/, role: 'oil' },
  { text: '🍅 10 lb paste tomatoes', amount: one(10, 'lb'), item: /tomatoes/, role: 'acid-food', crop: 'tomato-paste' },
  { text: '2 tablespoons whole black peppercorns, in a spice bag', amount: one(2, 'tbsp'), item: /peppercorn/, role: 'spice', then: 'taken-out' },
  { text: '1 lb carrots - peeled, cut in sticks', amount: one(1, 'lb'), item: /carrots/, role: 'low-acid', crop: 'carrot' },
  { text: '3 medium apples (about 1 lb), cored', amount: one(3, 'piece'), item: /apples/, role: 'acid-food', crop: 'apple' },
  { text: '5 cups prepared elderflower', amount: one(5, 'cup'), item: /elderflower/, role: 'low-acid', open: 'food' },
  { text: '1 pkg powdered pectin', amount: one(1, 'box'), item: /pectin/, role: 'pectin' },
  { text: '¾ cup cornstarch', amount: one(0.75, 'cup'), item: /starch/, role: 'thickener' },
  { text: '2 cups dry red wine', amount: one(2, 'cup'), item: /wine/, role: 'other' },
  { text: '1 pinch nutmeg', amount: one(1, 'piece'), item: /nutmeg/, role: 'spice' },
  { text: 'Ginger root, 2 oz grated', amount: one(2, 'oz'), item: /ginger/, role: 'spice', crop: 'ginger' },
  { text: '1 qt. homemade vinegar', amount: one(1, 'quart'), item: /vinegar/, role: 'vinegar' },
];

/** Lines that were read wrong, or would have been, when somebody else's spellings were tried; each is right today. */
// prettier-ignore
export const ONCE_WRONG: readonly WrittenExample[] = [
  { text: '7 lb paste tomatoes, charred in oil and drained', amount: one(7, 'lb'), item: /^paste tomatoes$/, role: 'acid-food', crop: 'tomato-paste' },
  { text: '6 cloves garlic in oil', amount: one(6, 'piece'), item: /^garlic$/, role: 'low-acid', crop: 'garlic' },
  { text: '1/2 cup lemon juice or 1 tsp citric acid', amount: one(0.5, 'cup'), item: /^lemon juice$/, role: 'lemon' },
  { text: '1 cup honey or 1 1/4 cups sugar', amount: one(1, 'cup'), item: /^honey$/, role: 'sugar' },
  { text: 'Salt (1 tsp per quart)', amount: one(1, 'tsp'), item: /^salt$/, role: 'salt', then: 'per-jar' },
  { text: 'Dill (2 heads per jar)', amount: one(2, 'piece'), item: /^dill$/, role: 'spice', crop: 'dill', then: 'per-jar' },
  { text: 'Tomatoes (about 20 lb)', amount: one(20, 'lb'), item: /^tomatoes$/, role: 'acid-food', crop: 'tomato-slicing' },
  { text: 'vinegar (5%)', amount: 'some', item: /^vinegar$/, role: 'vinegar', open: 'amount' },
  { text: '50/50 vinegar and water', amount: one(1, 'piece'), item: /vinegar and water/, role: 'vinegar', open: 'food' },
  { text: '1 cup vinegar and water, mixed (5%)', amount: one(1, 'cup'), item: /vinegar and water/, role: 'vinegar', open: 'food' },
  { text: 'a peck of apples', amount: one(1, 'piece'), item: /apples/, role: 'acid-food', crop: 'apple', open: 'amount' },
  { text: '1/2 bushel tomatoes', amount: one(0.5, 'piece'), item: /tomatoes/, role: 'acid-food', crop: 'tomato-paste', open: 'amount' },
  { text: '1 flat strawberries', amount: one(1, 'piece'), item: /strawberries/, role: 'acid-food', crop: 'strawberry', open: 'amount' },
  { text: '3 (15 oz) cans pumpkin', amount: one(3, 'piece'), item: /pumpkin/, role: 'low-acid', crop: 'squash', open: 'amount' },
  { text: '1 can (6 oz) tomato paste', amount: one(6, 'oz'), item: /^tomato paste$/, role: 'acid-food' },
  { text: '3 cups elderberries', amount: one(3, 'cup'), item: /elderberries/, role: 'low-acid' },
  { text: '4 cups white peaches', amount: one(4, 'cup'), item: /white peaches/, role: 'low-acid', crop: 'peach' },
  { text: '1 grape leaf per jar', amount: one(1, 'piece'), item: /grape leaf/, role: 'spice', then: 'per-jar' },
  { text: '1 cup water chestnuts', amount: one(1, 'cup'), item: /water chestnuts/, role: 'low-acid' },
  { text: '3 1/2 cups prepared juice (about 3 lb grapes)', amount: one(3.5, 'cup'), item: /prepared juice/, role: 'acid-food', open: 'food' },
  { text: '1 inch piece of ginger, sliced', amount: one(1, 'piece'), item: /ginger/, role: 'spice' },
  { text: '3 pounds firm but ripe peaches (about 9 medium), peeled', amount: one(3, 'lb'), item: /^peaches$/, role: 'acid-food', crop: 'peach' },
  { text: '2 pouches (3 oz each) liquid pectin', amount: one(2, 'pouch'), item: /^liquid pectin$/, role: 'pectin' },
  { text: '2 or 3 cloves garlic', amount: [2, 3, 'piece'], item: /^garlic$/, role: 'low-acid', crop: 'garlic' },
  { text: '500g beetroot', amount: one(0.5 / 0.45359237, 'lb'), item: /^beets$/, role: 'low-acid', crop: 'beet' },
  { text: '1/2 cup bourbon', amount: one(0.5, 'cup'), item: /bourbon/, role: 'other' },
];
