import { type CropId } from '../handbook/crops';

/**
 * Words by which a formula names a crop, the closer ones first: "green pepper" before "pepper". A formula's vegetables are
 * looked for among the crops of its product.
 */
const WORDS: Partial<Record<CropId, RegExp>> = {
  tomatillo: /tomatillo/i,
  'tomato-paste': /tomato(?!illo)/i,
  'tomato-slicing': /tomato(?!illo)/i,
  'cucumber-pickling': /cucumber/i,
  'pepper-hot': /chile|chilli|jalape|serrano|hot (long |red )?pepper|hot peppers/i,
  'pepper-sweet': /(bell|sweet|red|green|yellow|banana).*pepper|^(\W|\d)*(lb |cups? )?peppers?$/i,
  'bean-snap': /green.*beans?|snap beans?/i,
  beet: /\bbeets?\b/i,
  carrot: /carrot/i,
  'corn-sweet': /\bcorn\b/i,
  onion: /onion/i,
  cabbage: /cabbage/i,
  cauliflower: /cauliflower|floret/i,
  apple: /\b(?<!pine)(?<!crab )apples?\b/i,
  pear: /\bpears?\b/i,
  peach: /peach/i,
  apricot: /apricot/i,
  plum: /\bplums?\b/i,
  damson: /damson|\bplums?\b/i,
  'cherry-sour': /cherr(y|ies)/i,
  'cherry-sweet': /cherr(y|ies)/i,
  grape: /\bgrapes?\b/i,
  strawberry: /strawberr/i,
  blueberry: /blueberr/i,
  blackberry: /blackberr|(?<!\w)berr(y|ies)/i,
  raspberry: /raspberr|(?<!\w)berr(y|ies)/i,
  gooseberry: /gooseberr|(?<!\w)berr(y|ies)/i,
  currant: /currant/i,
  fig: /\bfigs?\b/i,
  rhubarb: /rhubarb/i,
  quince: /quince/i,
};

/** Whether a formula's words mean this crop. */
export function namesCrop(words: string, crop: CropId): boolean {
  return WORDS[crop]?.test(words) ?? false;
}
