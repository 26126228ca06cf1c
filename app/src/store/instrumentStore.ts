import { InstrumentsNow } from '@hoddle/contract/instrument';
import * as v from 'valibot';
import { create } from 'zustand';
import { useRehearsalClock } from './rehearsalClock';

/** Nobody tells anything. */
const SILENCE: InstrumentsNow = { instruments: [], calls: [], warm: [] };

/** What scales and probes tell this moment; nothing of it is kept. */
export const useInstrumentStore = create<InstrumentsNow>()(() => SILENCE);

/** Takes what the server tells of them, a line of JSON; what cannot be read is let be, and so is all of it in a rehearsal. */
export function hearInstruments(line: string): void {
  if (useRehearsalClock.getState().clock) return;
  const told = v.safeParse(InstrumentsNow, JSON.parse(line));
  if (told.success) useInstrumentStore.setState(told.output, true);
}

/** The server is not heard any more: what it told last is of no use for a decision of now. */
export function instrumentsSilent(): void {
  useInstrumentStore.setState(SILENCE, true);
}
