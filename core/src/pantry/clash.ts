import { type Movement, standingMovements } from './jarLot';

/** Movements that told of jars which were not there, and that nobody has settled yet. */
export function openClashes(movements: readonly Movement[]): Movement[] {
  return standingMovements(movements).filter(({ kind }) => kind === 'short');
}
