import { type Pick } from './pick';
import { isInSeason, pickingSeason, type Planting, seasonYear, usualKg } from './planting';

/** What came from one planting on one occasion. */
export interface PlantingPick {
  readonly at: number;
  readonly massKg: number;
}

/**
 * The picks of a planting, by the season they belong to. A pick that names no bed is shared among all beds of its crop in
 * proportion to what each gives in a usual year; what was bought, given or foraged belongs to none.
 */
export function picksOfPlanting(
  planting: Planting,
  plantings: readonly Planting[],
  picks: readonly Pick[],
): Map<number, PlantingPick[]> {
  const ofCrop = plantings.filter(({ crop }) => crop === planting.crop);
  const share = usualKg(planting) / ofCrop.reduce((sum, each) => sum + usualKg(each), 0);
  const seasons = new Map<number, PlantingPick[]>();
  for (const { crop, source, plantingId, pickedAt, massKg } of picks) {
    if (crop !== planting.crop || source !== 'garden') continue;
    // A pick of a bed that is no longer there counts as one that names none.
    const isNamed = ofCrop.some(({ id }) => id === plantingId);
    if (isNamed && plantingId !== planting.id) continue;
    const year = seasonYear(planting, pickedAt);
    if (!isInSeason(pickingSeason(planting, year), pickedAt)) continue;
    const own = { at: pickedAt, massKg: isNamed ? massKg : massKg * share };
    seasons.set(year, [...(seasons.get(year) ?? []), own]);
  }
  for (const own of seasons.values()) own.sort((a, b) => a.at - b.at);
  return seasons;
}
