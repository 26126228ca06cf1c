import { type HouseholdState } from '@hoddle/contract/householdState';
import { type Batch, nameOf, jarsWords } from '@hoddle/core/day/batch';
import { produceRow } from '@hoddle/core/handbook/produce';
import { type JarLot } from '@hoddle/core/pantry/jarLot';
import { countOf, MOVED_WORDS } from '@/household/pantry/pantryWords';
import { wordsOf, type Write } from '@/store/write';

/** What was entered, so that it is known again hours later: "took 1 quart crushed tomatoes", "19 lb damson plums". */
export function entryWords(write: Write, state: HouseholdState | undefined): string {
  if (write.kind === 'movement') {
    const { lotId, kind, jars } = write.movement;
    const lot = (state?.lots as readonly JarLot[] | undefined)?.find(({ id }) => id === lotId);
    if (!lot || kind === 'undone') return wordsOf(write);
    return kind === 'taken' ? `took ${countOf(jars, lot)}` : `${countOf(jars, lot)} ${MOVED_WORDS[kind]}`;
  }
  if (write.kind === 'pick' || write.kind === 'pick-corrected') {
    return `${wordsOf(write)} ${produceRow(write.pick.crop).name.toLowerCase()}`;
  }
  if (write.kind === 'batch') {
    const batch: Batch = write.batch;
    return `${jarsWords(batch)} ${nameOf(batch).toLowerCase()} planned`;
  }
  return wordsOf(write);
}
