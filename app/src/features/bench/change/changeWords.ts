import { type ChangeId } from '@hoddle/core/recipe/change';

export const CHANGE_WORDS: Readonly<Record<ChangeId, string>> = {
  'other-vinegar': 'Other vinegar',
  'less-salt': 'Less salt',
  'less-sugar': 'Less sugar',
  'more-salt': 'More salt',
  'more-sugar': 'More sugar',
  'more-acid': 'More vinegar or lemon',
  'stronger-vinegar': 'Vinegar over 5 %',
  'dry-spices': 'Dry spices',
  'swap-peppers': 'Other peppers',
  'less-low-acid': 'Less of a vegetable',
  'smaller-jar': 'Smaller jar',
  'more-low-acid': 'More vegetables',
  'less-acid': 'Less vinegar or lemon',
  'weaker-vinegar': 'Vinegar under 5 %',
  'home-made-vinegar': 'Home-made vinegar',
  'fresh-lemon': 'Fresh lemon',
  'more-water': 'More water',
  oil: 'Oil',
  butter: 'Butter against foam',
  thickener: 'Thicker',
  'bigger-jar': 'Bigger jar',
  merged: 'Two recipes in one',
  doubled: 'Twice the batch',
  'other-pectin': 'Other pectin',
  'new-ingredient': 'Something new in it',
  'other-proportion': 'Other proportions',
  'other-preparation': 'Prepared another way',
  unread: 'Not understood',
};

export const VERDICT_WORDS = { allowed: 'Allowed', 'within-limits': 'Allowed within limits', never: 'Never' } as const;
