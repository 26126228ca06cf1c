type Span = readonly [low: number, high: number];
const NONE: Span = [0, 0];

export interface StepRow {
  readonly step: string;
  readonly words: string;
  /** Hands-on minutes per pound of produce, and per batch. */
  readonly handsPerLb: Span;
  readonly fixedMinutes: Span;
  /** Minutes that pass by themselves; `'N'` stands for the number in a sequence entry (`boil-5`). */
  readonly waitMinutes: Span | 'N';
  readonly burner: boolean;
  /** Hands-on minutes per jar, where the step is done jar by jar. */
  readonly handsPerQuart?: Span;
  readonly handsPerPint?: Span;
}

/** How long each step takes. Common practice throughout: a start that the household's own pace replaces. */
export const STEPS: readonly StepRow[] = [
  {
    step: 'wash',
    words: 'Wash, pick over',
    handsPerLb: [0.4, 1],
    fixedMinutes: [3, 6],
    waitMinutes: NONE,
    burner: false,
  },
  // Washing stone fruit and pricking each skin, so that it does not burst: a little slower than washing alone.
  {
    step: 'wash-prick',
    words: 'Wash and prick',
    handsPerLb: [0.6, 1.4],
    fixedMinutes: [3, 6],
    waitMinutes: NONE,
    burner: false,
  },
  {
    step: 'scald-peel',
    words: 'Scald and peel',
    handsPerLb: [1, 2],
    fixedMinutes: [8, 15],
    waitMinutes: NONE,
    burner: true,
  },
  { step: 'core', words: 'Core and trim', handsPerLb: [0.5, 1], fixedMinutes: NONE, waitMinutes: NONE, burner: false },
  { step: 'chop', words: 'Chop', handsPerLb: [0.8, 1.8], fixedMinutes: [2, 5], waitMinutes: NONE, burner: false },
  {
    step: 'crush-heat',
    words: 'Crush and heat',
    handsPerLb: [0.3, 0.6],
    fixedMinutes: [10, 20],
    waitMinutes: NONE,
    burner: true,
  },
  {
    step: 'food-mill',
    words: 'Through the mill',
    handsPerLb: [0.6, 1.2],
    fixedMinutes: [5, 10],
    waitMinutes: NONE,
    burner: false,
  },
  { step: 'simmer', words: 'Simmer', handsPerLb: NONE, fixedMinutes: [0, 2], waitMinutes: 'N', burner: true },
  { step: 'boil', words: 'Boil', handsPerLb: NONE, fixedMinutes: [0, 2], waitMinutes: 'N', burner: true },
  { step: 'stand', words: 'Stand covered', handsPerLb: NONE, fixedMinutes: NONE, waitMinutes: 'N', burner: false },
  {
    step: 'cook-down-third',
    words: 'Cook down by a third',
    handsPerLb: NONE,
    fixedMinutes: [0, 5],
    waitMinutes: [45, 90],
    burner: true,
  },
  {
    step: 'syrup',
    words: 'Make syrup, keep hot',
    handsPerLb: NONE,
    fixedMinutes: [5, 8],
    waitMinutes: [10, 15],
    burner: true,
  },
  {
    step: 'acid',
    words: 'Acid into each jar',
    handsPerLb: NONE,
    fixedMinutes: [2, 4],
    waitMinutes: NONE,
    burner: false,
  },
  {
    step: 'raw-pack',
    words: 'Pack into hot jars',
    handsPerLb: [0.6, 1.5],
    fixedMinutes: NONE,
    waitMinutes: NONE,
    burner: false,
  },
  {
    step: 'top-up',
    words: 'Cover with boiling water',
    handsPerLb: NONE,
    fixedMinutes: [5, 8],
    waitMinutes: NONE,
    burner: true,
  },
  {
    step: 'fill',
    words: 'Fill',
    handsPerLb: NONE,
    fixedMinutes: NONE,
    waitMinutes: NONE,
    burner: false,
    handsPerQuart: [1.3, 2.2],
    handsPerPint: [1, 1.8],
  },
  // The second half of filling, after a raw pack was covered: bubbles, headspace again, rims, lids.
  {
    step: 'close',
    words: 'Bubbles, rims, lids',
    handsPerLb: NONE,
    fixedMinutes: NONE,
    waitMinutes: NONE,
    burner: false,
    handsPerQuart: [0.6, 1.1],
    handsPerPint: [0.5, 0.9],
  },
];

/** What surrounds every load, in minutes, whatever is in the jars. Common practice. */
export const CANNER_STEPS = {
  /** Cold water in the canner to hot enough for hot jars (180 F). */
  preheat: [30, 50],
  load: [3, 6],
  heatUp: [10, 30],
  rest: [5, 5],
  unload: [3, 5],
} as const satisfies Record<string, Span>;

/** Jars and lids washed and jars kept hot, hands-on minutes per jar and per day. Common practice. */
export const READY_JARS = { handsPerJar: [0.5, 1], fixedMinutes: [5, 8] } as const satisfies Record<string, Span>;

/**
 * The row of a sequence entry, its wait and its words: `boil-5` is the row `boil`, waits 5 min and is "Boil 5 min".
 *
 * @throws RangeError for an entry that names no step.
 */
export function stepOf(entry: string): { row: StepRow; waitMinutes: Span; words: string } {
  const row = STEPS.find((candidate) => candidate.step === entry);
  if (row && row.waitMinutes !== 'N') return { row, waitMinutes: row.waitMinutes, words: row.words };
  const numbered = /^(.+)-(\d+)$/.exec(entry);
  const numberedRow = STEPS.find((candidate) => candidate.step === numbered?.[1] && candidate.waitMinutes === 'N');
  if (!numbered || !numberedRow) throw new RangeError(`no step for the sequence entry ${JSON.stringify(entry)}`);
  const minutes = Number(numbered[2]);
  return { row: numberedRow, waitMinutes: [minutes, minutes], words: `${numberedRow.words} ${minutes} min` };
}
