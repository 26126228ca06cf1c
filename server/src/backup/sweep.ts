import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { type BackupData } from '@hoddle/contract/backup';

/** A household of so many movements fills much of a small machine's memory. */
const LARGE = 50_000;

/**
 * Collects what one step of a large restore has left before the next one begins: left to itself the engine lets the heap grow to
 * twice of what is used, which a small machine has not. https://nodejs.org/api/v8.html, `setFlagsFromString`.
 */
export function sweep({ movements }: Pick<BackupData, 'movements'>): void {
  if (movements.length < LARGE) return;
  setFlagsFromString('--expose-gc');
  (runInNewContext('gc') as () => void)();
}
