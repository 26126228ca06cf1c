const UNIT =
  '(?:cups?|c\\.?|tsps?\\.?|tbsps?\\.?|teaspoons?|tablespoons?|quarts?|qts?|pints?|gallons?|gals?|lbs?|pounds?|oz|ounces?|cloves?|heads?|sticks?|kg|g|ml|l|litres?|liters?)';
const NUMBER = '[\\d¼½¾⅓⅔⅛][\\d /.¼½¾⅓⅔⅛-]*';
const SECOND = new RegExp(`^(.+?),? (?:and|plus|&|\\+) (${NUMBER} ?${UNIT} .+)$`, 'i');
const AMOUNT = new RegExp(`${NUMBER}|\\b${UNIT}(?=\\s|$)|[()]|\\babout\\b`, 'gi');
/** What is said behind the second holds for both. */
const OF_BOTH = /,? ?(?:\((?:optional|for [^)]*)\)|for (?:the )?soak\w*|per jar|each jar|in each jar|optional)/gi;

/** "2 gal water and 1 cup salt, for soaking" is two lines; "1 cup plus 2 Tbsp sugar" is one. */
export function twoInOne(line: string): string[] {
  const [, first = '', second = ''] = SECOND.exec(line) ?? [];
  const hasFood = /[a-z]{3}/i.test(first.replace(AMOUNT, ''));
  if (!hasFood) return [line];
  const shared = first.match(OF_BOTH) ? '' : (second.match(OF_BOTH) ?? []).join('');
  return [first + shared, ...twoInOne(second)];
}
