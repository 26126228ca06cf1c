import { v5 as uuidV5 } from 'uuid';

/** Namespace of the ids below: a UUID of its own, without meaning. */
const OF_CLASHES = '5f1c2c1e-7a3d-4a52-9a3e-6f0c1d2b8e47';

/** Id of the note that the jars of a movement were not there: however often that is sent, it is one. */
export function clashId(movementId: string): string {
  return uuidV5(movementId, OF_CLASHES);
}
