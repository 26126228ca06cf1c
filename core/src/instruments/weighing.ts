/** A container as it stands on the shelf: it is known by its weight. */
export interface Container {
  readonly id: string;
  readonly name: string;
  readonly grams: number;
}

/** Containers of one make differ by so much, and a scale tells so many steps amiss. Common practice. */
const SAME_PART = 0.01;
const SAME_STEPS = 2;
/** Less than this on a scale is nothing that was put there. */
const SOMETHING_STEPS = 5;

/** The container that stands empty on a scale, by its weight; nothing where two could be meant. */
export function containerOf<Own extends Container>(
  grams: number,
  stepGrams: number,
  containers: readonly Own[],
): Own | undefined {
  const [first, other] = containers.filter(
    (each) => Math.abs(each.grams - grams) <= Math.max(SAME_PART * each.grams, SAME_STEPS * stepGrams),
  );
  return other ? undefined : first;
}

/** What lies in a container, grams; nothing where that is no more than the play of the scale. */
export function netGrams(grams: number, tareGrams: number, stepGrams: number): number | undefined {
  const net = grams - tareGrams;
  return net >= SOMETHING_STEPS * stepGrams ? net : undefined;
}

/** What is taken off a scale's weight, and what that is. */
export interface Tare {
  readonly grams: number;
  readonly words: string;
  /** Somebody said that what lies on it is no container, whatever it weighs. */
  readonly isBare?: true;
}

export const NO_TARE: Tare = { grams: 0, words: 'nothing' };

/**
 * The tare once something lies still: a known container that is put on an empty scale is taken off by itself, and an empty scale
 * begins anew. With something taken off already, what weighs as much as another container is no container.
 */
export function tareAfter(tare: Tare, grams: number, stepGrams: number, containers: readonly Container[]): Tare {
  if (Math.abs(grams) < SOMETHING_STEPS * stepGrams) return tare.grams === 0 && !tare.isBare ? tare : NO_TARE;
  if (tare.grams !== 0 || tare.isBare) return tare;
  const known = containerOf(grams, stepGrams, containers);
  return known ? { grams: known.grams, words: known.name } : tare;
}
