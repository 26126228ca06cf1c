import { type BackupData } from '@hoddle/contract/backup';

/** Loads whose jars came to the shelf: by their lids having been pressed, or by being put into the cold. */
export function storedLoads({ events }: Pick<BackupData, 'events'>): ReadonlySet<string> {
  return new Set(
    events.filter(({ type }) => type === 'seal-checked' || type === 'kept-cold').map(({ loadId }) => loadId),
  );
}
