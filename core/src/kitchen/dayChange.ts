import { type Batch, jarsOf, type PlannedLoad } from '../day/batch';
import { type Progress } from '../day/restOfDay';
import { batchesNow } from './batchesNow';
import { AS_PLANNED } from './byTheTable';
import { type DayEvent } from './dayEvent';
import { type RestQuestion } from './solveRest';

/** What can come in between on a preserving day. */
export type DayChange =
  /** `until` for an errand: from and to in minutes of the day, and the moment it is over. */
  | {
      readonly kind: 'cook-away';
      readonly cook: string;
      readonly until?: {
        readonly fromMin: number;
        readonly toMin: number;
        readonly at: number;
        readonly weekday: number;
      };
    }
  | { readonly kind: 'cook-back'; readonly cook: string }
  | { readonly kind: 'canner-out'; readonly cannerId: string }
  | { readonly kind: 'canner-back'; readonly cannerId: string }
  /** The loads of a batch that have not gone in, as they are to be: more jars, fewer, or none. */
  | { readonly kind: 'loads'; readonly batchId: string; readonly loads: readonly PlannedLoad[] }
  /** What is told of pots: another card, two in one; `over` are tasks that then count as done. */
  | { readonly kind: 'pots'; readonly told: readonly PotsTold[]; readonly over: readonly string[] };

/** A day's event about batches, before it has a time. */
export type PotsTold = Told<Extract<DayEvent, { readonly type: 'recipe-changed' | 'loads-changed' | 'pots-joined' }>>;

type Told<Event> = Event extends DayEvent ? Omit<Event, 'id' | 'day' | 'at'> : never;

/** Part of a batch's produce that goes into its loads, when those that have not gone in are changed. */
export function produceUsed(batch: Batch, begun: readonly PlannedLoad[], later: readonly PlannedLoad[]): number {
  // Another number of jars is another yield of the same produce; only without any more loads is produce left over.
  if (later.length > 0) return 1;
  return jarsOf({ loads: begun }) / jarsOf(batch);
}

/**
 * The question of what is left of a day, had something changed: to be solved before anything is told, so that it can be
 * refused.
 *
 * @param allCooks everybody who works in this kitchen, away or not
 */
export function withChange(
  rest: RestQuestion,
  change: DayChange,
  allCooks: RestQuestion['question']['setup']['cooks'],
): RestQuestion {
  const { question } = rest;
  const { setup, progress } = question;
  switch (change.kind) {
    case 'cook-away': {
      const { cook, until } = change;
      if (until) {
        const { fromMin, toMin, weekday } = until;
        const outing = { fromMin, toMin, atHome: false, weekdays: [weekday] };
        const cooks = setup.cooks.map((each) =>
          each.name === cook ? { ...each, breaks: [...each.breaks, outing] } : each,
        );
        return withSetup(rest, { ...setup, cooks });
      }
      return withSetup(rest, { ...setup, cooks: setup.cooks.filter(({ name }) => name !== cook) });
    }
    case 'cook-back': {
      // The others as they are there now; this one with the hours it always has.
      const cooks = allCooks.flatMap((each) =>
        each.name === change.cook ? [each] : setup.cooks.filter(({ name }) => name === each.name),
      );
      return withSetup(rest, { ...setup, cooks });
    }
    case 'canner-out':
      return withCanners(rest, [...progress.cannersOut, change.cannerId]);
    case 'canner-back':
      return withCanners(
        rest,
        progress.cannersOut.filter((id) => id !== change.cannerId),
      );
    case 'loads': {
      const batches = question.batches.flatMap((batch) => {
        if (batch.id !== change.batchId) return [batch];
        const begun = batch.loads.filter(({ id }) => progress.cannerOf.has(id));
        const loads = [...begun, ...change.loads];
        return loads.length === 0 ? [] : [{ ...batch, loads }];
      });
      return { ...rest, question: { ...question, batches } };
    }
    case 'pots': {
      const events = change.told.map((told, i) => ({ ...told, id: `${i}`, day: '', at: i }));
      const batches = batchesNow(question.batches, events, [], AS_PLANNED);
      const { nowMin } = progress;
      const over = change.over.map((id): [string, Progress] => [
        id,
        { kind: 'done', startMin: nowMin, endMin: nowMin },
      ]);
      const of = new Map([...progress.of, ...over]);
      return { ...rest, question: { ...question, batches, progress: { ...progress, of } } };
    }
  }
}

function withSetup(rest: RestQuestion, setup: RestQuestion['question']['setup']): RestQuestion {
  return { ...rest, question: { ...rest.question, setup } };
}

function withCanners(rest: RestQuestion, cannersOut: readonly string[]): RestQuestion {
  const progress = { ...rest.question.progress, cannersOut };
  return { ...rest, question: { ...rest.question, progress } };
}
