import { type CropId } from '../handbook/crops';

/**
 * Words by which a formula names a crop, the closer ones first: "green pepper" before "pepper". A formula's vegetables are
 * looked for among the crops of its product.
 */
const WORDS: Partial<Record<CropId, RegExp>> = {
  mixed: /vegetables/i,
  tomatillo: /tomatillo/i,
  'tomato-paste': /tomato(?!illo)|romas?\b|plum tomato/i,
  'tomato-slicing': /tomato(?!illo)/i,
  'cucumber-pickling': /cucumber/i,
  'pepper-hot': /chiles?\b|chill?i(es|s)?\b(?! (powder|flakes))|jalape|serrano|habanero|cayenne pepper|hot .*peppers?/i,
  'pepper-sweet': /(bell|sweet|red|green|yellow|banana|paprika).*pepper|capsicum|^pepper$|(?<!hot .*)\bpeppers\b/i,
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
  plum: /\bplums?\b(?! tomato)/i,
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
  zucchini: /zucchini|courgette|(summer|yellow) squash/i,
  squash: /pumpkin|winter squash|butternut|^squash$/i,
  garlic: /garlic/i,
  celery: /celery(?! seed)|celery stalk/i,
  dill: /dill(?! seed| ?weed)/i,
  ginger: /ginger/i,
  melon: /cantaloupe|\bmelons?\b|rinds?\b/i,
  mango: /mango/i,
  cranberry: /cranberr/i,
  pineapple: /pineapple/i,
  mushroom: /mushroom/i,
  asparagus: /asparagus/i,
  citrus: /orange|grapefruit|lemon(?!.*juice)|lime(?!.*juice)/i,
  'asian-pear': /asian pears?/i,
  'crab-apple': /crab ?apples?/i,
  nectarine: /nectarine/i,
  okra: /\bokra\b/i,
  pea: /\bpeas?\b/i,
  potato: /(?<!sweet )potato/i,
  'sweet-potato': /sweet potato/i,
  'dried-bean': /(dried|kidney|black|navy|pinto) beans?|garbanzo|chick ?pea/i,
  'lima-bean': /lima|butter beans?/i,
  greens: /spinach|\bgreens\b|\bchard\b|\bkale\b/i,
};

const ANY = new RegExp(
  Object.values(WORDS)
    .map(({ source }) => `(?:${source})`)
    .join('|'),
  'i',
);

/** Whether a formula's words mean any crop at all: most lines name none. */
export function namesACrop(words: string): boolean {
  return ANY.test(words);
}

/** Whether a formula's words mean this crop. */
export function namesCrop(words: string, crop: CropId): boolean {
  return WORDS[crop]?.test(words) ?? false;
}
