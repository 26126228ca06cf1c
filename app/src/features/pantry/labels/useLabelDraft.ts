import { useDevices } from '@/household/access/useDevices';
import { useRemembered } from '@/ui/useRemembered';
import { reachedAt } from '@/store/shell/reachedAt';
import { FIRST_SHEET } from './sheetDraft';
import { type LabelWishes } from './useJarLabels';

const FIRST = {
  ...FIRST_SHEET,
  ...{ withCode: 'yes', base: '', note: '', allergens: 'no', netWeight: '', statement: '' },
};
export type LabelDraft = { readonly [Name in keyof typeof FIRST]: string };

/** What was chosen for labels last, kept in this browser, and what follows from it. */
export function useLabelDraft() {
  const { values: draft, change } = useRemembered('labels', FIRST);
  const { known } = useDevices();
  const base = draft.base.trim() === '' ? reachedAt(known?.devices?.addresses) : draft.base.trim();
  const isAddress = /^https?:\/\/[^/\s]+$/i.test(base.replace(/\/+$/, ''));
  const wishes: LabelWishes = {
    base: draft.withCode === 'yes' && isAddress ? base : '',
    note: draft.note,
    allergens: draft.allergens === 'yes',
    netWeight: draft.netWeight,
    statement: draft.statement,
  };
  return { draft: { ...draft, base }, change, wishes };
}
