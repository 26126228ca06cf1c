import * as v from 'valibot';
import { HardwareMoveSchema } from './hardware';
import { HouseholdState } from './householdState';
import { JarLotSchema, MovementSchema } from './jarLot';

/** What the file says it is. */
export const BACKUP_FORMAT = 'hoddle-backup';

/** Goes up whenever an older Hoddle could not read what is written; it refuses a higher one than it knows. */
export const BACKUP_VERSION = 6;

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

/** What a backup says of itself, before its data. */
export const BackupHead = v.object({
  format: v.literal(BACKUP_FORMAT, 'is not a Hoddle backup'),
  version: v.pipe(v.number(), v.integer(), v.minValue(1)),
  madeAt: v.pipe(v.string(), v.isoTimestamp('must be a time')),
  /** How many writes the household had had: what came after it can be counted. */
  writes: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0)), 0),
  sha256: v.pipe(v.string(), v.regex(/^[0-9a-f]{64}$/, 'must be a sum')),
});
export type BackupHead = v.InferOutput<typeof BackupHead>;

/** A backup as one file. The sum is taken of the data in its canonical form (RFC 8785), so that a damaged file is known. */
export const BackupFile = v.object({ ...BackupHead.entries, data: BackupData });
export type BackupFile = v.InferOutput<typeof BackupFile>;

/** A backup that was taken by itself, as the Files screen lists it. */
export const KeptBackup = v.object({
  name: v.string(),
  at: v.number(),
  bytes: v.number(),
});

/** The reply of `GET /api/backups`. */
export const BackupsReply = v.object({
  /** The newest first. */
  backups: v.array(KeptBackup),
  folder: v.string(),
  /** What became of the last try to take one, where it went wrong. */
  trouble: v.nullable(v.string()),
  /** Writes since the newest one; null where there is none. */
  writesSince: v.nullable(v.number()),
});
export type BackupsReply = v.InferOutput<typeof BackupsReply>;

/** The reply of `POST /api/restore`. */
export const RestoreReply = v.object({
  /** Of the data as it is now. */
  sha256: v.string(),
  lots: v.number(),
  movements: v.number(),
  /** Where the household as it was before was kept, on the server's machine. */
  keptBefore: v.string(),
});
export type RestoreReply = v.InferOutput<typeof RestoreReply>;
