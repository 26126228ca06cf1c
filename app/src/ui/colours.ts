import { type CropId } from '@hoddle/core/handbook/crops';
import { type ProductId, productRow } from '@hoddle/core/handbook/products';

/** The tokens of tailwind.config.js that drawings need as values. */
export const COLOURS = {
  ground: '#E9EEE8',
  plate: '#FBFCFA',
  well: '#DFE6DE',
  hair: '#C6D0C7',
  edge: '#8592A0',
  keyEdge: '#6C7A8C',
  ink: '#14203A',
  ink2: '#46536B',
  cobalt: '#1D3F8F',
  white: '#FFFFFF',
  band: '#7D8A9A',
  heat: '#A86200',
  heatWash: '#FFF3DC',
  boil: '#D8432B',
  rest: '#5B677C',
  cool: '#CFE4F1',
  coolLine: '#3B7AA3',
  water: '#DCEBF2',
  waterLine: '#3B7AA3',
  acid: '#C9D97A',
  granite: '#0F172B',
  granitePanel: '#17223C',
  graniteLine: '#3A4866',
  speck: '#C9D6E6',
  milk: '#F4F7FB',
  milk2: '#B9C4D8',
  rimDark: '#8FB0FF',
  heatDark: '#F5A623',
  restDark: '#8C99B0',
  coolDark: '#A9D3EE',
  coldDark: '#8FB0CC',
  /** Vermilion deep enough for milk figures on it: 7.4 to 1. */
  boilDeep: '#982714',
} as const;

/** A white mark on the content of a jar, so that its hue does not stand alone. */
export type Mark = 'waves' | 'strokes' | 'rings' | 'dots' | 'slashes' | 'arcs';

const TOMATO = { hue: '#A6211B', mark: 'waves' } as const;
const PLUM = { hue: '#463A96', mark: 'rings' } as const;
const CUCUMBER = { hue: '#4F7A1C', mark: 'rings' } as const;
const BEAN = { hue: '#2F6B33', mark: 'strokes' } as const;
const QUINCE = { hue: '#A88000', mark: 'dots' } as const;
const APPLE = { hue: '#B9611A', mark: 'dots' } as const;
const CHERRY = { hue: '#D0265C', mark: 'rings' } as const;
const BEET = { hue: '#6B1A52', mark: 'arcs' } as const;
const GOOSEBERRY = { hue: '#3F8F79', mark: 'dots' } as const;
const TOMATILLO = { hue: '#7E8C12', mark: 'dots' } as const;

/** The ten hues of the look, each with its mark; crops of one kind share one, and their words and shapes tell them apart. */
const HUES: Readonly<Record<CropId, { hue: string; mark: Mark }>> = {
  'tomato-paste': TOMATO,
  'tomato-slicing': TOMATO,
  tomatillo: TOMATILLO,
  'cucumber-pickling': CUCUMBER,
  'pepper-sweet': { hue: '#A6211B', mark: 'slashes' },
  'pepper-hot': { hue: '#A6211B', mark: 'strokes' },
  'bean-snap': BEAN,
  beet: BEET,
  carrot: { hue: '#B9611A', mark: 'strokes' },
  'corn-sweet': { hue: '#A88000', mark: 'rings' },
  onion: { hue: '#A88000', mark: 'arcs' },
  cabbage: { hue: '#4F7A1C', mark: 'arcs' },
  cauliflower: { hue: '#A88000', mark: 'waves' },
  apple: APPLE,
  pear: { hue: '#7E8C12', mark: 'waves' },
  peach: { hue: '#B9611A', mark: 'arcs' },
  apricot: { hue: '#B9611A', mark: 'rings' },
  plum: PLUM,
  damson: PLUM,
  'cherry-sweet': BEET,
  'cherry-sour': CHERRY,
  grape: { hue: '#463A96', mark: 'dots' },
  strawberry: { hue: '#D0265C', mark: 'dots' },
  blueberry: { hue: '#463A96', mark: 'arcs' },
  blackberry: { hue: '#6B1A52', mark: 'dots' },
  raspberry: { hue: '#D0265C', mark: 'arcs' },
  gooseberry: GOOSEBERRY,
  currant: { hue: '#D0265C', mark: 'waves' },
  fig: { hue: '#6B1A52', mark: 'strokes' },
  rhubarb: { hue: '#D05A74', mark: 'slashes' },
  quince: QUINCE,
  'asian-pear': { hue: '#A88000', mark: 'slashes' },
  asparagus: BEAN,
  berry: CHERRY,
  citrus: { hue: '#B9611A', mark: 'slashes' },
  'crab-apple': CHERRY,
  cranberry: TOMATO,
  'dried-bean': BEET,
  greens: { hue: '#2F6B33', mark: 'waves' },
  'lima-bean': TOMATILLO,
  mango: { hue: '#B9611A', mark: 'waves' },
  melon: GOOSEBERRY,
  mixed: { hue: '#4F7A1C', mark: 'slashes' },
  mushroom: { hue: '#A88000', mark: 'arcs' },
  nectarine: APPLE,
  okra: { hue: '#2F6B33', mark: 'slashes' },
  pea: { hue: '#2F6B33', mark: 'dots' },
  pineapple: { hue: '#A88000', mark: 'slashes' },
  potato: QUINCE,
  squash: APPLE,
  'sweet-potato': { hue: '#B9611A', mark: 'strokes' },
  zucchini: CUCUMBER,
  garlic: { hue: '#A88000', mark: 'slashes' },
  dill: { hue: '#2F6B33', mark: 'strokes' },
  celery: { hue: '#4F7A1C', mark: 'strokes' },
  ginger: { hue: '#B9611A', mark: 'dots' },
};

export function hueOfCrop(crop: CropId): { hue: string; mark: Mark } {
  return HUES[crop];
}

/** A product wears the hue of its first crop. */
export function hueOfProduct(product: ProductId): { hue: string; mark: Mark } {
  const crop = productRow(product).crops[0]?.[0];
  return crop ? HUES[crop] : TOMATO;
}
