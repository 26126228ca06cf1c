import * as v from 'valibot';
import { HARDWARE_KINDS, HARDWARE_MOVES } from '@hoddle/core/supplies/hardware';
import { Jar } from './crop';
import { Id, Time } from './id';

const Mouth = v.picklist(['regular', 'wide'], 'must be regular or wide');
const thing = {
  kind: v.picklist(HARDWARE_KINDS, `must be one of ${HARDWARE_KINDS.join(', ')}`),
  /** Jars only. */
  size: v.optional(Jar),
  mouth: Mouth,
};

/** The body of `POST /api/hardware-moves`: empty jars, lids and bands into the drawer or out of it. */
export const HardwareMoveSchema = v.pipe(
  v.object({
    id: Id,
    ...thing,
    way: v.picklist(HARDWARE_MOVES, `must be one of ${HARDWARE_MOVES.join(', ')}`),
    count: v.pipe(
      v.number('must be a number'),
      v.integer('must be whole'),
      v.minValue(1, 'must be 1 or more'),
      v.maxValue(5_000, 'must be at most 5,000'),
    ),
    at: Time,
  }),
  v.forward(
    v.check(({ kind, size }) => (kind === 'jar') === (size !== undefined), 'goes with jars, and with nothing else'),
    ['size'],
  ),
);

/** How many there are now: told, and used and given back by the shelf since. */
export const HardwareCountSchema = v.object({ ...thing, count: v.pipe(v.number(), v.integer()) });
