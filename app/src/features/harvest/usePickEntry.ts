import { produceRow, type ProduceId } from '@hoddle/core/handbook/produce';
import { checkPickDay } from '@hoddle/core/harvest/checkPickDay';
import { type OwnMeasure } from '@hoddle/core/harvest/ownMeasure';
import { type Pick as HarvestPick, type PickSource, type Place } from '@hoddle/core/harvest/pick';
import { type LotRipeness } from '@hoddle/core/harvest/keeping';
import { goneOn, toldIn } from '@hoddle/core/harvest/sumOfMeasures';
import { readHarvest } from '@hoddle/core/harvest/readHarvest';
import { type HarvestUnit, UNITS } from '@hoddle/core/measure/amount';
import { useCallback, useState } from 'react';
import { typedAfter } from '@/ui/Keypad';
import { readDay } from './readDay';

/** What was typed, as it was typed. */
export interface PickDraft {
  readonly crop: ProduceId;
  readonly amount: string;
  readonly soft: string;
  readonly unit: HarvestUnit;
  /** Any other measure, in words: "quart boxes", "colander"; empty where the unit's key is meant. */
  readonly vessel: string;
  /** Of all of it; with 'firm' or 'ripe' part may still be soft. */
  readonly ripeness: LotRipeness;
  readonly place: Place;
  /** Days ago, 0 is today, or 'other' for the day that is typed. */
  readonly when: '0' | '1' | '2' | 'other';
  readonly day: string;
  readonly source: PickSource;
  readonly plantingId: string | null;
}

export type PickField = 'amount' | 'soft' | 'day';

export type DraftReading =
  | { kind: 'ready'; massKg: number; softKg: number; told: string; pickedAt: number }
  /** Nothing typed yet: no reproach. */
  | { kind: 'empty' }
  | { kind: 'slip'; field: PickField; sentence: string }
  /** A cup of it, and how it is prepared is not told. */
  | { kind: 'form'; field: 'amount' | 'soft'; ways: readonly string[]; sentence: string }
  /** One of this measure has no weight yet. */
  | { kind: 'ask'; measure: string; measureWords: string; sentence: string };

const DAY_MS = 24 * 60 * 60_000;

/** Reads a draft: a mass, nothing yet, what one measure weighs, or what is wrong in one sentence. */
export function readDraft(draft: PickDraft, own: readonly OwnMeasure[], now: number): DraftReading {
  const whole = readHarvest(inVessel(draft.amount, draft), draft.crop, draft.unit, own);
  if (whole.kind === 'empty' || whole.kind === 'ask') return whole;
  if (whole.kind === 'form') return { ...whole, field: 'amount' };
  if (whole.kind === 'slip') return { kind: 'slip', field: 'amount', sentence: whole.sentence };
  const soft =
    draft.ripeness === 'soft' ? whole : readHarvest(inVessel(draft.soft, draft), draft.crop, draft.unit, own);
  if (soft.kind === 'ask') return soft;
  if (soft.kind === 'form') return { ...soft, field: 'soft' };
  if (soft.kind === 'slip') return { kind: 'slip', field: 'soft', sentence: soft.sentence };
  const softKg = soft.kind === 'mass' ? soft.massKg : 0;
  if (softKg > whole.massKg + 1e-9) {
    const sentence = `More soft than picked: of ${whole.told} at most all can be soft.`;
    return { kind: 'slip', field: 'soft', sentence };
  }
  const pickedAt = draft.when === 'other' ? readDay(draft.day, now) : now - Number(draft.when) * DAY_MS;
  if (pickedAt === undefined) {
    return { kind: 'slip', field: 'day', sentence: `"${draft.day}" is not a day. Try 18 Aug.` };
  }
  const day = checkPickDay(pickedAt, now);
  if (day.kind === 'refusal') return { kind: 'slip', field: 'day', sentence: day.reason };
  const { massKg, told } = whole;
  return { kind: 'ready', massKg, softKg: Math.min(softKg, massKg), told, pickedAt };
}

/** A figure typed with the keys is one of the vessel that was named. */
function inVessel(typed: string, { vessel }: PickDraft): string {
  return toldIn(typed, vessel.trim());
}

/** What is typed goes on in another measure. */
export function withAnd(draft: PickDraft, of: 'amount' | 'soft'): Partial<PickDraft> {
  return { [of]: goneOn(draft[of], draft.vessel.trim() || UNITS[draft.unit].one), vessel: '' };
}

/** The pick a ready draft stands for. */
export function pickFrom(draft: PickDraft, reading: Extract<DraftReading, { kind: 'ready' }>, id: string): HarvestPick {
  const { massKg, softKg, told, pickedAt } = reading;
  const { crop, place, source } = draft;
  const ripeness = draft.ripeness === 'soft' ? 'ripe' : draft.ripeness;
  const plantingId = source === 'garden' ? draft.plantingId : null;
  return { id, crop, massKg, softKg, ripeness, place, pickedAt, told, source, plantingId };
}

/** An empty draft for a crop. */
export function newDraft(crop: ProduceId): PickDraft {
  return {
    crop,
    amount: '',
    soft: '',
    unit: 'lb',
    vessel: '',
    ripeness: 'ripe',
    place: 'cool',
    when: '0',
    day: '',
    source: 'garden',
    plantingId: null,
  };
}

/** The draft of an entry with what can be done to it. */
export function usePickEntry(first: PickDraft) {
  const [draft, setDraft] = useState<PickDraft>(first);
  const [field, setField] = useState<'amount' | 'soft'>('amount');
  const change = useCallback((part: Partial<PickDraft>) => setDraft((before) => ({ ...before, ...part })), []);
  const press = (key: string) => setDraft((before) => ({ ...before, [field]: typedAfter(before[field], key) }));
  return { draft, change, field, setField, press, name: produceRow(draft.crop).name };
}
