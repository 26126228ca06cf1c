import { SeasonPlanReply, type SeasonPlanRequest } from '@hoddle/contract/season';
import { type SeasonReport } from '@hoddle/core/season/report/seasonReport';
import { v7 as uuidV7 } from 'uuid';
import * as v from 'valibot';
import { create } from 'zustand';
import { ask, askTo } from './api';
import { enteredIsSent } from './householdStore';

/** How often it is asked how far a planning has come. */
const LOOK_MS = 500;
/** So many answers missed in a row, and the planning counts as broken off. */
const MOST_MISSED = 6;

const BROKEN_OFF = 'The planning broke off: no signal, or the server began anew. The plan before is kept.';

export type Asked = Omit<SeasonPlanRequest, 'id'>;

/** A planning as this page knows of it. */
export interface Planning {
  readonly id: string;
  readonly asked: Asked;
  readonly state: SeasonPlanReply['state'];
  readonly seconds: number;
  readonly worth: number | null;
  readonly bound: number | null;
  readonly report?: SeasonReport;
  readonly message?: string;
}

interface SeasonStore {
  /** The season's own planning, and those that ask "what if", by what they ask. */
  readonly plannings: Readonly<Record<string, Planning>>;
  plan(asked: Asked): Promise<void>;
  stop(key: string): void;
  /** Puts a plan that was looked at aside. */
  forget(key: string): void;
}

/** The season's own planning. */
export const OWN_PLAN = 'plan';

/** What a planning is known by here. */
export function planningKey({ whatIf, cautious }: Pick<Asked, 'whatIf' | 'cautious'>): string {
  return whatIf ?? (cautious ? 'cautious' : OWN_PLAN);
}

/** Plannings that this page has asked the server for. A plan is kept by the household only once somebody takes it. */
export const useSeasonStore = create<SeasonStore>()((set, get) => {
  const put = (key: string, planning: Planning) => set({ plannings: { ...get().plannings, [key]: planning } });
  const isCurrent = (key: string, id: string) => get().plannings[key]?.id === id;

  async function follow(key: string, planning: Planning): Promise<void> {
    let missed = 0;
    for (;;) {
      await new Promise((later) => setTimeout(later, LOOK_MS));
      if (!isCurrent(key, planning.id)) return;
      const reply = v.safeParse(SeasonPlanReply, await ask(`/season-plans/${planning.id}`));
      if (!reply.success) {
        missed += 1;
        if (missed < MOST_MISSED) continue;
        return put(key, { ...planning, state: 'failed', message: BROKEN_OFF });
      }
      missed = 0;
      const { report, message, ...told } = reply.output;
      const next = {
        ...planning,
        ...told,
        ...(report && { report: report as SeasonReport }),
        ...(message !== null && { message }),
      };
      if (!isCurrent(key, planning.id)) return;
      put(key, next);
      if (told.state !== 'planning') return;
    }
  }

  return {
    plannings: {},
    plan: async (asked) => {
      const key = planningKey(asked);
      const id = uuidV7();
      const planning: Planning = { id, asked, state: 'planning', seconds: 0, worth: null, bound: null };
      put(key, planning);
      // What was entered just before, a day lost, is on the server before it plans.
      await enteredIsSent();
      const result = await askTo('POST', '/season-plans', { id, ...asked });
      if (result.kind === 'done') return follow(key, planning);
      put(key, { ...planning, state: 'failed', message: result.kind === 'refused' ? result.message : BROKEN_OFF });
    },
    stop: (key) => {
      const planning = get().plannings[key];
      if (planning?.state === 'planning') void askTo('DELETE', `/season-plans/${planning.id}`);
    },
    forget: (key) => {
      const { [key]: _, ...others } = get().plannings;
      set({ plannings: others });
    },
  };
});
