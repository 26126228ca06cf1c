import { type JarLot, type Movement } from '@hoddle/core/pantry/jarLot';
import { type LotRow, type MovementRow } from './tables';

export function lotOf({ loadId, fromLotId, recipe, crop, readyAt, ...lot }: LotRow): JarLot {
  return {
    ...lot,
    ...(loadId !== null && { loadId }),
    ...(fromLotId !== null && { fromLotId }),
    ...(recipe !== null && { recipe }),
    ...(crop !== null && { crop }),
    ...(readyAt !== null && { readyAt }),
  };
}

export function lotRow({ jarsBefore: _, ...lot }: JarLot): LotRow {
  const { loadId = null, fromLotId = null, recipe = null, crop = null, readyAt = null } = lot;
  return { ...lot, loadId, fromLotId, recipe, crop, readyAt };
}

export function movementOf({ intoLotId, toPlace, undoes, note, ...movement }: MovementRow): Movement {
  return {
    ...movement,
    ...(intoLotId !== null && { intoLotId }),
    ...(toPlace !== null && { toPlace }),
    ...(undoes !== null && { undoes }),
    ...(note !== null && { note }),
  };
}

export function movementRow(movement: Movement): MovementRow {
  const { intoLotId = null, toPlace = null, undoes = null, note = null } = movement as Partial<MovementRow>;
  return { ...movement, intoLotId, toPlace, undoes, note };
}
