import { produceRow, type ProduceId } from '@hoddle/core/handbook/produce';
import { massOf } from '@hoddle/core/harvest/massOf';
import { type Pick as HarvestPick, type Place } from '@hoddle/core/harvest/pick';
import { type HarvestUnit, unitWords } from '@hoddle/core/measure/amount';
import { readAmount } from '@hoddle/core/measure/readAmount';
import { useState } from 'react';
import { typedAfter } from '@/ui/Keypad';

/** What was typed, as it was typed. */
export interface PickDraft {
  readonly crop: ProduceId;
  readonly amount: string;
  readonly soft: string;
  readonly unit: HarvestUnit;
  readonly place: Place;
  /** 0 is today. */
  readonly daysAgo: number;
}

export type DraftReading =
  | { kind: 'ready'; massKg: number; softKg: number; told: string }
  /** Nothing typed yet: no reproach. */
  | { kind: 'empty' }
  | { kind: 'slip'; field: 'amount' | 'soft'; sentence: string };

const DAY_MS = 24 * 60 * 60_000;

/** Reads a draft: a mass, nothing yet, or what is wrong in one sentence. */
export function readDraft(draft: PickDraft): DraftReading {
  const whole = readField(draft.amount, draft);
  if (whole.kind !== 'mass')
    return whole.kind === 'empty' ? whole : { kind: 'slip', field: 'amount', sentence: whole.sentence };
  const soft = readField(draft.soft, draft);
  if (soft.kind === 'slip') return { kind: 'slip', field: 'soft', sentence: soft.sentence };
  const softKg = soft.kind === 'mass' ? soft.massKg : 0;
  if (softKg > whole.massKg + 1e-9) {
    return {
      kind: 'slip',
      field: 'soft',
      sentence: `More soft than picked: of ${whole.told} at most all can be soft.`,
    };
  }
  return { kind: 'ready', massKg: whole.massKg, softKg: Math.min(softKg, whole.massKg), told: whole.told };
}

type FieldReading =
  { kind: 'mass'; massKg: number; told: string } | { kind: 'empty' } | { kind: 'slip'; sentence: string };

function readField(typed: string, { crop, unit }: PickDraft): FieldReading {
  const reading = readAmount(typed, unit);
  if (reading.kind === 'unreadable') {
    if (reading.why === 'empty') return { kind: 'empty' };
    const sentence =
      reading.why === 'negative'
        ? 'Less than nothing cannot be picked.'
        : `"${typed}" is not an amount. Try 68, 1 1/4 or ½ bushel.`;
    return { kind: 'slip', sentence };
  }
  const { amount } = reading;
  if (amount.value === 0) return { kind: 'empty' };
  const mass = massOf(amount, crop);
  if (mass.kind === 'refusal') return { kind: 'slip', sentence: mass.reason };
  const figure = typed.replace(/[a-z#.\s-]+$/i, '').trim() || '1';
  return { kind: 'mass', massKg: mass.massKg, told: `${figure} ${unitWords(amount.value, amount.unit)}` };
}

/** The pick a ready draft stands for. */
export function pickFrom(
  draft: PickDraft,
  reading: Extract<DraftReading, { kind: 'ready' }>,
  id: string,
  now: number,
): HarvestPick {
  const { massKg, softKg, told } = reading;
  return { id, crop: draft.crop, massKg, softKg, place: draft.place, pickedAt: now - draft.daysAgo * DAY_MS, told };
}

/** The draft of an entry with what can be done to it. */
export function usePickEntry(first: ProduceId) {
  const [draft, setDraft] = useState<PickDraft>({
    crop: first,
    amount: '',
    soft: '',
    unit: 'lb',
    place: 'cool',
    daysAgo: 0,
  });
  const [field, setField] = useState<'amount' | 'soft'>('amount');
  const change = (part: Partial<PickDraft>) => setDraft((before) => ({ ...before, ...part }));
  const press = (key: string) => setDraft((before) => ({ ...before, [field]: typedAfter(before[field], key) }));
  return { draft, change, field, setField, press, name: produceRow(draft.crop).name };
}
