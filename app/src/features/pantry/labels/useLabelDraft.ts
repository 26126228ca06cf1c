import { useState } from 'react';
import { useDevices } from '@/features/bench/devices/useDevices';
import { useRemembered } from '@/features/bench/instrument/useRemembered';
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
  const reached = useReachedAt();
  const base = draft.base.trim() === '' ? reached : draft.base.trim();
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

/** Where other devices find this server: its address in the home network where it has one, else the one this page came from. */
function useReachedAt(): string {
  const { known } = useDevices();
  const [own] = useState(() => window.location.origin);
  const isHere = /\/\/(localhost|127\.|\[::1\])/.test(own);
  return isHere ? (known?.devices?.addresses[0] ?? own) : own;
}
