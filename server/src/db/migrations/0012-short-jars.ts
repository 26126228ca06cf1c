/**
 * Movements may tell of jars that were not there (`short`). No table changes; an older Hoddle, which would take such a row for a
 * damaged one, is told by this migration that the file is not for it.
 */
export async function up(): Promise<void> {}
