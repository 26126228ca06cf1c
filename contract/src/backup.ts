import * as v from 'valibot';
import { HardwareMoveSchema } from './hardware';
import { HouseholdState } from './householdState';
import { JarLotSchema, MovementSchema } from './jarLot';

/** What the file says it is. */
export const BACKUP_FORMAT = 'hoddle-backup';

/** Goes up whenever an older Hoddle could not read what is written; it refuses a higher one than it knows. */
export const BACKUP_VERSION = 4;

const {
  now: _now,
  use: _use,
  hardware: _hardware,
  lots: _lots,
  movements: _movements,
  ...kept
} = HouseholdState.entries;

/** Everything of a household that is not worked out from the rest. */
export const BackupData = v.object({
  ...kept,
  lots: v.array(JarLotSchema),
  movements: v.array(MovementSchema),
  hardwareMoves: v.array(HardwareMoveSchema),
});
export type BackupData = v.InferOutput<typeof BackupData>;

/** A backup as one file. The sum is taken of the data in its canonical form (RFC 8785), so that a damaged file is known. */
export const BackupFile = v.object({
  format: v.literal(BACKUP_FORMAT, 'is not a Hoddle backup'),
  version: v.pipe(v.number(), v.integer(), v.minValue(1)),
  madeAt: v.pipe(v.string(), v.isoTimestamp('must be a time')),
  sha256: v.pipe(v.string(), v.regex(/^[0-9a-f]{64}$/, 'must be a sum')),
  data: BackupData,
});
export type BackupFile = v.InferOutput<typeof BackupFile>;

/** The reply of `POST /api/restore`. */
export const RestoreReply = v.object({
  /** Of the data as it is now. */
  sha256: v.string(),
  lots: v.number(),
  movements: v.number(),
  /** Where the household as it was before was kept, on the server's machine. */
  keptBefore: v.string(),
});
