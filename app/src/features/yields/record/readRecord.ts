import { type JarCount, type JarSize } from '@hoddle/core/handbook/jars';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { type ProductId } from '@hoddle/core/handbook/products';
import { type OwnMeasure } from '@hoddle/core/harvest/ownMeasure';
import { readHarvest } from '@hoddle/core/harvest/readHarvest';
import { type Unit } from '@hoddle/core/measure/amount';
import { readIn } from '@hoddle/core/measure/readIn';
import { readNumber } from '@hoddle/core/measure/readNumber';
import { type BatchRecord, countsAdded, type Fault, type TrimmingsTo } from '@hoddle/core/yields/batchRecord';

/** What was typed of a batch, as it was typed. */
export interface RecordDraft {
  readonly crop: ProduceId;
  readonly product: ProductId;
  readonly amount: string;
  readonly jars: string;
  readonly jar: JarSize;
  /** A second size, where one ran out. */
  readonly otherJars: string;
  readonly otherJar: JarSize;
  readonly part: '0' | '0.25' | '0.5' | '0.75';
  readonly water: string;
  readonly sugar: string;
  readonly note: string;
  readonly jarMake: string;
  readonly lidMake: string;
  /** Brine or syrup left, in cups. */
  readonly leftover: string;
  /** What else came of it, in quarts or litres, and in pounds or kilograms; nothing typed is not measured. */
  readonly juice: string;
  readonly trimmings: string;
  readonly cookedOff: string;
  readonly trimmingsTo: TrimmingsTo | 'untold';
  readonly faults: readonly Fault[];
}

export type RecordField =
  'amount' | 'jars' | 'otherJars' | 'water' | 'sugar' | 'leftover' | 'juice' | 'trimmings' | 'cookedOff';

export type RecordReading =
  | { kind: 'record'; record: Omit<BatchRecord, 'id' | 'batchId' | 'madeAt' | 'learnFrom'> }
  | { kind: 'slip'; field: RecordField; sentence: string };

const MOST_JARS = 500;

/** Reads what was typed: a record, or what is missing in one sentence. */
export function readRecord(draft: RecordDraft, unit: 'lb' | 'kg', own: readonly OwnMeasure[]): RecordReading {
  const amount = readHarvest(draft.amount, draft.crop, unit, own);
  if (amount.kind !== 'mass') {
    const sentence = amount.kind === 'empty' ? 'How much went in? Type an amount first.' : amount.sentence;
    return { kind: 'slip', field: 'amount', sentence };
  }
  const main = readJars(draft.jars);
  if (main === undefined) return { kind: 'slip', field: 'jars', sentence: jarsSlip(draft.jars) };
  const other = draft.otherJars.trim() === '' ? 0 : readJars(draft.otherJars);
  if (other === undefined) return { kind: 'slip', field: 'otherJars', sentence: jarsSlip(draft.otherJars) };
  const added = countsAdded(draft.product);
  const waterMl = added ? readOrNone(draft.water, 'cup', 'ml') : 0;
  if (waterMl === undefined)
    return { kind: 'slip', field: 'water', sentence: `"${draft.water}" is not an amount of water. Try 2 or 1/2.` };
  const sugarKg = added ? readOrNone(draft.sugar, unit, 'kg') : 0;
  if (sugarKg === undefined)
    return { kind: 'slip', field: 'sugar', sentence: `"${draft.sugar}" is not an amount of sugar. Try 2 or 1/2.` };
  const leftoverMl = readOrNone(draft.leftover, 'cup', 'ml');
  if (leftoverMl === undefined)
    return {
      kind: 'slip',
      field: 'leftover',
      sentence: `"${draft.leftover}" is not an amount of brine. Try 2 or 1/2.`,
    };
  const poured = unit === 'kg' ? 'l' : 'quart';
  const juiceMl = measuredIn(draft.juice, poured, 'ml');
  if (juiceMl === undefined) return { kind: 'slip', field: 'juice', sentence: volumeSlip(draft.juice) };
  const cookedOffMl = measuredIn(draft.cookedOff, poured, 'ml');
  if (cookedOffMl === undefined) return { kind: 'slip', field: 'cookedOff', sentence: volumeSlip(draft.cookedOff) };
  const trimmingsKg = measuredIn(draft.trimmings, unit, 'kg');
  if (trimmingsKg === undefined)
    return {
      kind: 'slip',
      field: 'trimmings',
      sentence: `"${draft.trimmings}" is not a weight. Leave it empty if it was not weighed.`,
    };
  const part = Number(draft.part);
  if (main + other + part === 0) return { kind: 'slip', field: 'jars', sentence: 'How many jars came out?' };
  const jars: JarCount[] = [{ jar: draft.jar, count: main }];
  if (other > 0) jars.push({ jar: draft.otherJar, count: other });
  return {
    kind: 'record',
    record: {
      product: draft.product,
      crop: draft.crop,
      massKg: amount.massKg,
      waterMl,
      sugarKg,
      jars,
      partJar: part > 0 ? { jar: draft.jar, part } : null,
      note: draft.note.trim(),
      jarMake: draft.jarMake.trim(),
      lidMake: draft.lidMake.trim(),
      leftoverMl,
      faults: draft.faults,
      juiceMl,
      trimmingsKg,
      cookedOffMl,
      trimmingsTo: draft.trimmingsTo === 'untold' ? null : draft.trimmingsTo,
    },
  };
}

function readJars(typed: string): number | undefined {
  const number = readNumber(typed);
  if (number.kind === 'unreadable' || !Number.isInteger(number.value) || number.value > MOST_JARS) return undefined;
  return number.value;
}

function jarsSlip(typed: string): string {
  return typed.trim() === ''
    ? 'How many full jars came out?'
    : `"${typed}" is not a number of full jars. A part jar is told below.`;
}

/** As {@link readOrNone}, but what is not typed was not measured, which is not none. */
function measuredIn(typed: string, bare: Unit, into: Unit): number | null | undefined {
  return typed.trim() === '' ? null : readIn(typed, bare, into);
}

function volumeSlip(typed: string): string {
  return `"${typed}" is not a volume. Leave it empty if it was not measured.`;
}

/** An amount in a unit when none is typed, in another; nothing typed is none. */
function readOrNone(typed: string, bare: Unit, into: Unit): number | undefined {
  return typed.trim() === '' ? 0 : readIn(typed, bare, into);
}
