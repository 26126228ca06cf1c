import { coldDaysWords } from '@hoddle/core/process/coldWays';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { judgedOnce } from '@hoddle/core/process/ownShelf';

/** "for the shelf by Preserving at home, p. 31"; "refrigerator, a month". */
export function becomesWords(recipe: OwnRecipe): string {
  if (recipe.draft) return 'half written down';
  const { foods, faults } = judgedOnce(recipe);
  if (recipe.source && faults?.length === 0) return `for the shelf by ${recipe.source.title}, p. ${recipe.source.page}`;
  const [first, ...others] = foods.map(({ coldDays }) => coldDays);
  const shortest = first && others.reduce((least, each) => (each[0] < least[0] ? each : least), first);
  return shortest ? `refrigerator, ${coldDaysWords(shortest)}` : '';
}
