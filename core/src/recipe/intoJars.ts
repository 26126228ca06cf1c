const INTO_JARS = ['acid', 'raw-pack', 'pack-hot', 'fill'];

/** Whether a batch is in its jars from this step on: what was in a pot is in none any more, and hot jars go into the canner soon. */
export function isIntoJars(step: string): boolean {
  return INTO_JARS.includes(step);
}
