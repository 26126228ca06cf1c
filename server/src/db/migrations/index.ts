import { type QueryInterface } from 'sequelize';
import * as firstPath from './0001-first-path';
import * as handbook from './0002-handbook';
import * as harvest from './0003-harvest';
import * as canners from './0004-canners';
import * as kitchen from './0005-kitchen';
import * as pantry from './0006-pantry';
import * as season from './0007-season';
import * as recipe from './0008-recipe';
import * as ownRecipes from './0009-own-recipes';
import * as lockedLid from './0010-locked-lid';
import * as trust from './0011-trust';
import * as shortJars from './0012-short-jars';
import * as outputs from './0013-outputs';
import * as paper from './0014-paper';
import * as instruments from './0015-instruments';

/** In the order they run. Forward only: a landed migration is never changed, the next one goes below it. */
export const MIGRATIONS: readonly { name: string; up: (db: QueryInterface) => Promise<void> }[] = [
  { name: '0001-first-path', up: firstPath.up },
  { name: '0002-handbook', up: handbook.up },
  { name: '0003-harvest', up: harvest.up },
  { name: '0004-canners', up: canners.up },
  { name: '0005-kitchen', up: kitchen.up },
  { name: '0006-pantry', up: pantry.up },
  { name: '0007-season', up: season.up },
  { name: '0008-recipe', up: recipe.up },
  { name: '0009-own-recipes', up: ownRecipes.up },
  { name: '0010-locked-lid', up: lockedLid.up },
  { name: '0011-trust', up: trust.up },
  { name: '0012-short-jars', up: shortJars.up },
  { name: '0013-outputs', up: outputs.up },
  { name: '0014-paper', up: paper.up },
  { name: '0015-instruments', up: instruments.up },
];
