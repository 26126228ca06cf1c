/** What a place does to the jars in it. */
export const PLACE_KINDS = ['shelf', 'refrigerator', 'freezer', 'aside'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

/** Where jars stand: a shelf in the cellar, the kitchen, the refrigerator; or what they are set aside for. */
export interface PantryPlace {
  readonly id: string;
  readonly name: string;
  readonly kind: PlaceKind;
  /** The day something set aside is for, "2026-09-12". */
  readonly forDay?: string;
  /** Jars that it holds, where the household has said so. */
  readonly room?: number;
}

/** What a household has from the first day; it names them as it likes and adds its own. */
export const USUAL_PLACES: readonly PantryPlace[] = [
  { id: 'shelf', name: 'Shelf', kind: 'shelf' },
  { id: 'refrigerator', name: 'Refrigerator', kind: 'refrigerator' },
  { id: 'freezer', name: 'Freezer', kind: 'freezer' },
];

/** A place by its id. One that is struck out while jars stand in it is told by its id, and keeps like a shelf. */
export function placeOf(places: readonly PantryPlace[], id: string): PantryPlace {
  const known = [...places, ...USUAL_PLACES].find((place) => place.id === id);
  return known ?? { id, name: 'Another place', kind: 'shelf' };
}

/** Whether jars can be put there: what every household has, or what it named itself. */
export function isPlace(places: readonly PantryPlace[], id: string): boolean {
  return [...places, ...USUAL_PLACES].some((place) => place.id === id);
}
