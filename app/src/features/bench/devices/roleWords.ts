import { type Role } from '@hoddle/contract/device';

export const ROLE_WORDS: Readonly<Record<Role, { words: string; note: string }>> = {
  cook: { words: 'Cook', note: 'All the work: baskets, batches, the kitchen, the shelf.' },
  instrument: { words: 'Scale or probe', note: 'Tells what it weighs or measures, sees nothing.' },
  looker: { words: 'Looks only', note: 'Sees everything, changes nothing.' },
  owner: {
    words: 'Owner',
    note: 'Everything: also brings back backups, lets others in, strikes out what was written down.',
  },
};
