import { type Logger } from 'pino';
import { type Database } from '../db/openDatabase';
import { backupsIn } from './backupNames';
import { takeBackup } from './takeBackup';

const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;

/** The hour of the night, by the machine's own clock, in which nobody cans. */
const AT_HOUR = 3;

/** A machine that sleeps at night takes its backup when it wakes. */
const OVERDUE_MS = 26 * HOUR_MS;

export interface Backups {
  readonly folder: string;
  /** Why the last one could not be taken, or what the last look at the file found. */
  readonly trouble: string | null;
  /** Takes one now. */
  take(): Promise<string>;
  stop(): void;
}

/**
 * Takes a backup every night and looks the whole file over, by itself.
 *
 * @param clock the machine's own time
 */
export function nightlyBackups(db: Database, folder: string, log: Logger, clock: () => number = Date.now): Backups {
  let trouble: string | null = null;
  let under: Promise<string> | undefined;
  const take = () => {
    under ??= takeBackup(db, folder, clock())
      .then((name) => {
        trouble = null;
        return name;
      })
      .catch((error: unknown) => {
        trouble = error instanceof Error ? error.message : String(error);
        log.error({ err: error }, 'backup failed');
        throw error;
      })
      .finally(() => (under = undefined));
    return under;
  };
  const look = async () => {
    if (!isDue(backupsIn(folder)[0]?.at, clock())) return;
    const faults = await db.check();
    if (faults.length > 0) log.error({ faults }, 'the file is damaged');
    // A damaged household takes no good backup's place.
    if (faults.length === 0) await take();
    else trouble = `The household’s file is damaged: ${faults[0]}`;
  };
  const timer = setInterval(
    () => void look().catch((error: unknown) => log.error({ err: error }, 'night')),
    10 * MINUTE_MS,
  );
  timer.unref();
  return {
    folder,
    get trouble() {
      return trouble;
    },
    take,
    stop: () => clearInterval(timer),
  };
}

/** @param last when the newest was taken */
export function isDue(last: number | undefined, now: number): boolean {
  if (last === undefined) return true;
  if (now - last > OVERDUE_MS) return true;
  const isNight = new Date(now).getHours() === AT_HOUR;
  return isNight && now - last > HOUR_MS;
}
