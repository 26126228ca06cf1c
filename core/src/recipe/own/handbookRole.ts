import { CARDS } from '../../handbook/cards';
import { type Role } from '../../handbook/cards/card';
import { CROP_NAMES, type CropId } from '../../handbook/crops';
import { roleOf } from '../foodWords';

let known: ReadonlyMap<CropId, Role> | undefined;

/**
 * What a crop is for acid, as the handbook's cards take it: low in acid where any card says so. It is never raised by hand.
 * A crop that no card names goes by its name, and is low in acid where that is no fruit.
 */
export function handbookRole(crop: CropId): 'acid-food' | 'low-acid' {
  known ??= rolesOfCards();
  const role = known.get(crop) ?? roleOf(CROP_NAMES[crop]) ?? 'acid-food';
  return role === 'acid-food' ? 'acid-food' : 'low-acid';
}

function rolesOfCards(): ReadonlyMap<CropId, Role> {
  const roles = new Map<CropId, Role>();
  for (const { role, crops, then } of CARDS.flatMap(({ ingredients }) => ingredients)) {
    // Herbs and roots that only flavour a card say nothing of what a jar full of them would be.
    if (then === 'drained' || (role !== 'acid-food' && role !== 'low-acid')) continue;
    for (const crop of crops) if (roles.get(crop) !== 'low-acid') roles.set(crop, role);
  }
  return roles;
}
