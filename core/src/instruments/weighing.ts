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
