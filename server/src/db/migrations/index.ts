import { type QueryInterface } from 'sequelize';
import * as firstPath from './0001-first-path';

/** In the order they run. Forward only: a landed migration is never changed, the next one goes below it. */
export const MIGRATIONS: readonly { name: string; up: (db: QueryInterface) => Promise<void> }[] = [
  { name: '0001-first-path', up: firstPath.up },
];
