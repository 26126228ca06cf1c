import { type HouseholdState } from '@hoddle/contract/householdState';
import { CANNERS } from '@hoddle/core/handbook/canners';
import { handbookCanner } from '@hoddle/core/canner/handbookCanner';
import { type Debrief } from '@hoddle/core/rehearsal/debrief';
import { type Lesson, lessonCanners, lessonDay } from '@hoddle/core/rehearsal/lessons';
import { type MishapKind } from '@hoddle/core/rehearsal/mishap';
import { type RehearsedDay } from '@hoddle/core/rehearsal/rehearsedDay';
import { v7 as uuidV7 } from 'uuid';
import { create } from 'zustand';
import { EMPTY_HOUSEHOLD } from '@/store/emptyHousehold';
import { useHouseholdStore } from '@/store/householdStore';
import { instrumentsSilent } from '@/store/instrumentStore';
import { isInProcess } from '@/store/inProcess';
import { endRehearsalClock, setRehearsalClock, type Speed } from '@/store/rehearsalClock';
import { householdNow } from '@/store/useHousehold';

interface Rehearsal {
  readonly seed: number;
  readonly asked: readonly MishapKind[] | 'chance';
  readonly title: string;
}

interface RehearsalStore {
  readonly running: Rehearsal | undefined;
  /** Its kitchen, once the day is laid out. */
  readonly day: RehearsedDay | undefined;
  /** A cook shows how it is done. */
  readonly isShown: boolean;
  /** What was learned of the last one, until another is begun. */
  readonly debrief: { readonly title: string; readonly told: Debrief } | undefined;
}

export const useRehearsalStore = create<RehearsalStore>()(() => ({
  running: undefined,
  day: undefined,
  isShown: false,
  debrief: undefined,
}));

const LEAD_MS = 5 * 60_000;

/** Why nothing can be rehearsed now; undefined where it can. */
export function whyNotNow(): string | undefined {
  return isInEarnest() ? 'A load is in its canner. Rehearse when it is out.' : undefined;
}

/** Whether a load of the household itself is in a canner, whatever is rehearsed meanwhile. */
export function isInEarnest(): boolean {
  const { state, aheadMs } = useHouseholdStore.getState();
  return state !== undefined && isInProcess(state, Date.now() + (aheadMs ?? state.demoOffsetMs ?? 0));
}

/** Rehearses the day that is planned, on a copy of the household. @param startAt of the day, epoch milliseconds */
export function rehearsePlanned(startAt: number, asked: Rehearsal['asked'], speed: Speed): void {
  const { state } = useHouseholdStore.getState();
  if (state) begin(structuredClone(state), { at: startAt - LEAD_MS, title: 'The planned day', asked, speed });
}

/** A lesson, in a kitchen of its own at the household's altitude, with its canner where it has one that boils water. */
export function rehearseLesson(lesson: Lesson, speed: Speed): void {
  const { state } = useHouseholdStore.getState();
  const own = state?.household ?? EMPTY_HOUSEHOLD.household;
  const [row] = CANNERS;
  if (!row) return;
  const spare = (number: number) =>
    handbookCanner(row, { id: uuidV7(), name: number === 1 ? 'Big pot' : 'Second pot' });
  const canners = [...lessonCanners(lesson, own.canners, spare)];
  const startAt = Math.ceil(householdNow() / 3_600_000) * 3_600_000;
  // Whoever has not said how high the kitchen lies learns at the lowest band, and is told so.
  const altitudeFt = own.altitudeFt ?? LESSON_FT;
  const { picks, batches } = lessonDay(lesson, { altitudeFt, canners, startAt, newId: uuidV7 });
  const allDay = { name: 'You', fromMin: 0, toMin: 1_440, breaks: [] };
  const household = {
    ...EMPTY_HOUSEHOLD.household,
    ...{ name: lesson.title, altitudeFt, units: own.units, canners },
    kitchen: { ...EMPTY_HOUSEHOLD.household.kitchen, timeZone: own.kitchen.timeZone, cooks: [allDay] },
  };
  const copy = { ...EMPTY_HOUSEHOLD, household, picks, batches } as unknown as HouseholdState;
  begin(copy, { at: startAt - LEAD_MS, title: lesson.title, asked: lesson.mishaps, speed });
}

/** The lowest of the tables' bands. Handbook rule 1. */
export const LESSON_FT = 800;

interface How {
  readonly at: number;
  readonly title: string;
  readonly asked: Rehearsal['asked'];
  readonly speed: Speed;
}

function begin(copy: HouseholdState, { at, title, asked, speed }: How): void {
  const seed = 1 + Math.floor(Math.random() * 1_000_000);
  instrumentsSilent();
  useRehearsalStore.setState({ running: { seed, asked, title }, day: undefined, isShown: false, debrief: undefined });
  setRehearsalClock({ at, speed, isPaused: false });
  useHouseholdStore.setState({ rehearsed: { ...copy, demoOffsetMs: null } });
}

/** Back to earnest: the copy is gone with all that was told in it. */
export function endRehearsal(told?: Debrief): void {
  const { running } = useRehearsalStore.getState();
  endRehearsalClock();
  useHouseholdStore.setState({ rehearsed: undefined });
  useRehearsalStore.setState({
    running: undefined,
    day: undefined,
    debrief: running && told ? { title: running.title, told } : undefined,
  });
}
