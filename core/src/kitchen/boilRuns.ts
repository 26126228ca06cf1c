import { inOrderOnce, type KitchenEvent } from './kitchenEvent';
import { type LoadOrder, loadState } from './loadState';

/** A clock that was begun: from the boil until the heat was off, or until the boil was lost. */
export interface BoilRun {
  readonly from: number;
  /** Undefined while it runs. */
  readonly to?: number;
  readonly held: boolean;
  readonly byProbe: boolean;
}

/** Every time the clock of a load was begun, the last one the one that counts; read off the fold, event by event. */
export function boilRuns(order: LoadOrder, events: readonly KitchenEvent[]): BoilRun[] {
  const told = inOrderOnce(events);
  const runs: BoilRun[] = [];
  let before = loadState(order, []);
  told.forEach((event, i) => {
    const state = loadState(order, told.slice(0, i + 1));
    const last = runs.at(-1);
    const isOpen = last !== undefined && last.to === undefined;
    if (state.timesLost > before.timesLost && isOpen) runs[runs.length - 1] = { ...last, to: event.at };
    if (state.heatOffAt !== undefined && before.heatOffAt === undefined && isOpen) {
      runs[runs.length - 1] = { ...last, to: event.at, held: true };
    }
    if (state.boilAt !== undefined && state.boilAt !== before.boilAt) {
      // A second tap moves the start later: it is the same run, begun anew.
      if (before.boilAt !== undefined) runs.pop();
      runs.push({ from: state.boilAt, held: false, byProbe: state.unseen === true });
    }
    before = state;
  });
  return runs;
}
