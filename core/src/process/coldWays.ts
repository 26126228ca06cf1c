import { type FoodJudgement } from '../recipe/own/foodClass';

/** "2 to 3 months", "a week", "3 to 4 days": how long a class keeps in the refrigerator. */
export function coldDaysWords([low, high]: FoodJudgement['coldDays']): string {
  if (low >= 60) return `${Math.round(low / 30)} to ${Math.round(high / 30)} months`;
  if (low >= 28) return 'a month';
  if (low === 7 && high === 7) return 'a week';
  return low === high ? `${low} days` : `${low} to ${high} days`;
}

/** The ways out of a refusal that a food has: cold, by its class, or eaten at once. Handbook rule 10. */
export function coldWays({ coldDays, foodClass }: Pick<FoodJudgement, 'coldDays' | 'foodClass'>): string[] {
  const fresh = foodClass === 'low-acid' || foodClass === 'oil' ? ['eaten fresh'] : [];
  return [`refrigerator: ${coldDaysWords(coldDays)}`, 'freezer', ...fresh];
}
