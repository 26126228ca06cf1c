import { countJars } from '@hoddle/core/handbook/jars';
import { produceRow } from '@hoddle/core/handbook/produce';
import { type PlanChange } from '@hoddle/core/season/report/planChanges';
import { reportedJars } from '@hoddle/core/season/report/reportedWords';
import { type ReportedGoal, type ReportedTaking } from '@hoddle/core/season/report/seasonReport';
import { type SeasonPin } from '@hoddle/core/season/problem/seasonProblem';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';

/** Less is a quarter pound that rounds to nothing. */
const LEAST_TOLD_KG = 0.06;

/** "Saturday 5 Sep" */
export function dayShort(day: string): string {
  return format(parseISO(day), 'EEEE d MMM');
}

/** Where a day's produce comes from: "40 lb paste tomatoes: 16 lb on hand, 24 lb still to be picked". */
export function takingWords(taking: ReportedTaking, mass: (kg: number) => string): string {
  const { crop, onHandKg, toPickKg, thawedKg, chilledKg } = taking;
  const parts = [
    [onHandKg, 'on hand'],
    [toPickKg, 'still to be picked'],
    [thawedKg, 'from the freezer'],
  ] as const;
  const told = parts.filter(([kg]) => kg > LEAST_TOLD_KG).map(([kg, words]) => `${mass(kg)} ${words}`);
  const cold = chilledKg > LEAST_TOLD_KG ? `; keep ${mass(chilledKg)} of it in the refrigerator until then` : '';
  return `${produceRow(crop).name}: ${told.join(', ')}${cold}`;
}

/** Why a goal stays short, and what would do. */
export function shortWords({ short, jar }: ReportedGoal, mass: (kg: number) => string): string | undefined {
  if (!short) return undefined;
  const more = `${countJars(short.jars, jar)} more`;
  if (short.kind === 'lids') return `${more} would need lids or jars`;
  const need = short.crop && short.massKg !== undefined ? mass(short.massKg) : undefined;
  const of = short.crop ? ` of ${produceRow(short.crop).name.toLowerCase()}` : '';
  if (short.kind === 'days') return `${more} would need another day; the ${need ?? 'produce'}${of} is there`;
  return `${more} would need ${need ?? 'more'}${of}`;
}

/** One change of a plan in words. What was pinned and cannot be kept so is told. */
export function changeWords(change: PlanChange, pins: readonly SeasonPin[]): { head: string; note: string } {
  const { kind, batch, day, fromDay } = change;
  const pin = pins.find((each) => each.recipe === batch.recipe && each.day === (fromDay ?? day));
  const isLost = pin && (kind === 'gone' || kind === 'moved' || batch.jars < pin.jars);
  const note = whereWords(change);
  return { head: reportedJars(batch), note: isLost ? `${note}. Pinned, but it cannot be kept so.` : note };
}

function whereWords({ kind, batch, day, fromDay, was }: PlanChange): string {
  switch (kind) {
    case 'new':
      return `new on ${dayShort(day)}`;
    case 'gone':
      return `no longer on ${dayShort(day)}`;
    case 'moved': {
      const count = was === batch.jars ? '' : `, ${was} before`;
      return `from ${dayShort(fromDay ?? day)} to ${dayShort(day)}${count}`;
    }
    case 'more':
    case 'fewer':
      return `on ${dayShort(day)}, ${was} before`;
  }
}
