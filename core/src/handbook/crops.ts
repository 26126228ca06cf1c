export interface CropRow {
  readonly crop: string;
  readonly name: string;
  /** Pounds in a level bushel; undefined where no weight is published. */
  readonly bushelLb?: number;
  /** Days sound, ripe produce keeps. Common practice, the refrigerator after [AH-66]. */
  readonly keepsDays: { readonly counter: number; readonly cool: number; readonly refrigerator: number };
}

/**
 * What a household may pick.
 *
 * Source: bushel weights from the USDA Complete Guide to Home Canning, 2015, as recalled; keeping from USDA Agriculture
 * Handbook 66 (best store) and common practice (counter, cool room).
 */
export const CROPS = [
  { crop: 'tomato-paste', name: 'Paste tomatoes', bushelLb: 53, keepsDays: { counter: 3, cool: 7, refrigerator: 7 } },
  {
    crop: 'tomato-slicing',
    name: 'Slicing tomatoes',
    bushelLb: 53,
    keepsDays: { counter: 3, cool: 7, refrigerator: 7 },
  },
  { crop: 'damson', name: 'Damson plums', bushelLb: 56, keepsDays: { counter: 3, cool: 7, refrigerator: 14 } },
  { crop: 'plum', name: 'Plums', bushelLb: 56, keepsDays: { counter: 3, cool: 7, refrigerator: 14 } },
  { crop: 'bean-snap', name: 'Pole beans', bushelLb: 30, keepsDays: { counter: 1, cool: 3, refrigerator: 7 } },
  { crop: 'beet', name: 'Beetroot', bushelLb: 52, keepsDays: { counter: 3, cool: 21, refrigerator: 60 } },
  { crop: 'tomatillo', name: 'Tomatillos', keepsDays: { counter: 7, cool: 14, refrigerator: 21 } },
  { crop: 'cherry-sour', name: 'Sour cherries', bushelLb: 56, keepsDays: { counter: 1, cool: 3, refrigerator: 5 } },
  { crop: 'quince', name: 'Quinces', bushelLb: 48, keepsDays: { counter: 14, cool: 60, refrigerator: 90 } },
  { crop: 'apple', name: 'Apples', bushelLb: 48, keepsDays: { counter: 7, cool: 60, refrigerator: 120 } },
  { crop: 'rhubarb', name: 'Rhubarb', keepsDays: { counter: 2, cool: 7, refrigerator: 21 } },
  { crop: 'gooseberry', name: 'Gooseberries', keepsDays: { counter: 3, cool: 7, refrigerator: 21 } },
] as const satisfies readonly CropRow[];

export type CropId = (typeof CROPS)[number]['crop'];

/** The crop's row, or undefined when the handbook does not know it. */
export function findCrop(crop: string): (CropRow & { crop: CropId }) | undefined {
  return CROPS.find((row) => row.crop === crop);
}

/** The row of a crop known to exist. @throws RangeError for an id the handbook does not have. */
export function cropRow(crop: string): CropRow & { crop: CropId } {
  const row = findCrop(crop);
  if (!row) throw new RangeError(`no crop ${JSON.stringify(crop)} in the handbook`);
  return row;
}
