import { type ProduceId } from '@hoddle/core/handbook/produce';
import { type ProductId } from '@hoddle/core/handbook/products';

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
} as const;

/** A white mark on the content of a jar, so that its hue does not stand alone. */
export type Mark = 'waves' | 'strokes' | 'rings' | 'dots' | 'slashes' | 'arcs';

const HUES: Readonly<Record<ProduceId, { hue: string; mark: Mark }>> = {
  'tomato-paste': { hue: '#A6211B', mark: 'waves' },
  'tomato-slicing': { hue: '#A6211B', mark: 'waves' },
  'bean-snap': { hue: '#2F6B33', mark: 'strokes' },
  beet: { hue: '#6B1A52', mark: 'arcs' },
  tomatillo: { hue: '#7E8C12', mark: 'dots' },
  damson: { hue: '#463A96', mark: 'rings' },
  plum: { hue: '#463A96', mark: 'rings' },
  'cherry-sour': { hue: '#D0265C', mark: 'rings' },
  quince: { hue: '#A88000', mark: 'dots' },
  apple: { hue: '#B9611A', mark: 'dots' },
  rhubarb: { hue: '#D05A74', mark: 'slashes' },
  gooseberry: { hue: '#3F8F79', mark: 'dots' },
};

export function hueOfCrop(crop: ProduceId): { hue: string; mark: Mark } {
  return HUES[crop];
}

/** A product wears the hue of its first crop. */
export function hueOfProduct(product: ProductId): { hue: string; mark: Mark } {
  return product === 'plums' ? HUES.damson : HUES['tomato-paste'];
}
