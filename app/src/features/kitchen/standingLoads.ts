import { loadsNow } from '@hoddle/core/kitchen/loadsNow';
import memoizeOne from 'memoize-one';

/** All loads where they stand; one state, one answer for every screen that asks. */
export const standingLoads = memoizeOne(loadsNow);
