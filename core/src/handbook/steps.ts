import { FURTHER_STEPS } from './furtherSteps';
import { Laid } from './laidBeside';
import { type Cited, COMMON_PRACTICE } from './source';
import { type StepTableRow, type TableMinutes } from './stepTableRow';

// One step a line, as the table is printed.
// prettier-ignore
const ROWS: readonly StepTableRow[] = [
  ['wash', 'Wash and pick over', 0.4, 1, 3, 6, 0, 0, 'hands', null, '', ''],
  ['scald-peel', 'Scald 30-60 s, into ice water, slip skins', 1, 2, 8, 15, 0, 0, 'hands+burner', null, '2 h cut', ''],
  ['core', 'Core and trim', 0.5, 1, 0, 0, 0, 0, 'hands', null, '2 h cut', ''],
  ['chop', 'Chop', 0.8, 1.8, 2, 5, 0, 0, 'hands', null, '2 h cut', 'machine pulses count as chopped only to the asked size'],
  ['slice', 'Slice', 0.6, 1.4, 2, 5, 0, 0, 'hands', null, '2 h cut', 'gloves for hot peppers'],
  ['trim', 'Top and tail or trim', 0.8, 2, 0, 0, 0, 0, 'hands', null, '', ''],
  ['peel-core', 'Peel and core', 1.2, 2.5, 0, 0, 0, 0, 'hands', null, '2 h cut; anti-browning bath', ''],
  ['halve-pit', 'Halve and pit', 0.8, 1.6, 0, 0, 0, 0, 'hands', null, '2 h cut', ''],
  ['stem', 'Stem or strip from the bunch', 1.2, 2.5, 0, 0, 0, 0, 'hands', null, '', 'the slowest part of grapes and currants'],
  ['pit', 'Pit', 1.5, 3, 0, 0, 0, 0, 'hands', null, '2 h cut', ''],
  ['husk', 'Husk and rinse', 0.8, 1.4, 0, 0, 0, 0, 'hands', null, '', ''],
  ['shell', 'Shell', 2.5, 5, 0, 0, 0, 0, 'hands', null, '', ''],
  ['crush-heat', 'Crush and heat to release juice', 0.3, 0.6, 10, 20, 0, 0, 'hands+burner+big pot', null, 'hot', 'feed the pot as it sinks'],
  ['crush-measure', 'Crush and measure cups', 0.8, 1.5, 3, 6, 0, 0, 'hands', null, '', 'measure gate'],
  ['measure-juice', 'Measure the juice', 0, 0, 3, 5, 0, 0, 'hands', null, '', 'measure gate'],
  ['food-mill', 'Through the mill or strainer', 0.6, 1.2, 5, 10, 0, 0, 'hands+mill', null, '', ''],
  ['strain', 'Strain', 0.1, 0.3, 5, 10, 10, 30, 'strainer', null, '', ''],
  ['drip-2h', 'Drip through a damp bag', 0, 0, 5, 10, 120, 240, 'strainer', 480, 'juice: refrigerate past 2 h', ''],
  ['drip-4h', 'Drip without pressing', 0, 0, 5, 10, 240, 720, 'strainer', null, 'juice: refrigerate past 2 h if not hot; overnight in the cold', ''],
  ['settle-24h', 'Settle in the cold', 0, 0, 3, 5, 720, 1440, 'refrigerator', null, 'refrigerated', 'optional school: strain twice instead'],
  ['simmer-N', 'Simmer N min', 0, 0, 0, 2, 'N', 'N', 'burner+big pot', null, 'hot', 'stir every 10 min'],
  ['boil-N', 'Boil N min', 0, 0, 0, 2, 'N', 'N', 'burner+big pot', null, 'hot', ''],
  ['boil-1-hard', 'Full rolling boil, 1 min hard, stirring', 0, 0, 8, 15, 0, 0, 'hands+burner+big pot', 5, 'hot', 'step timer; one batch at a time'],
  ['boil-to-set-N', 'Boil to the setting point', 0, 0, 10, 15, 'N', 'N', 'burner+big pot', 5, 'hot', 'doneness check: cold plate or boiling point + 8 F; repeat'],
  ['cook-down-third', 'Cook down by a third', 0, 0, 0, 5, 45, 90, 'burner+big pot', null, 'hot', 'stir every 10 min; longer for watery kinds'],
  ['cook-down-half', 'Cook down by half', 0, 0, 0, 5, 90, 240, 'burner+big pot', null, 'hot', 'stir every 10 min'],
  ['thicken', 'Thicken with cook-type starch', 0, 0, 8, 12, 0, 0, 'hands+burner+big pot', 5, 'hot', ''],
  ['reheat', 'Reheat', 0, 0, 0, 2, 10, 20, 'burner+big pot', 10, 'hot', ''],
  ['syrup', 'Make syrup and keep hot', 0, 0, 5, 8, 10, 15, 'burner', null, 'hot', ''],
  ['salt-ice-Nh', 'Salt and ice N h', 0, 0, 5, 10, 'N*60', 'N*60+60', 'refrigerator or ice', 240, 'iced', ''],
  ['salt-soak-Nh', 'Salt soak N h', 0, 0, 5, 10, 'N*60', 'N*60+60', 'refrigerator', null, 'refrigerated', ''],
  ['soak-brine-12h', 'Brine soak 12 h', 0, 0, 8, 12, 720, 840, 'refrigerator', null, 'cool or refrigerated', ''],
  ['soak-12h', 'Soak 12 h in the cold', 0, 0, 3, 5, 720, 1080, 'refrigerator', null, 'refrigerated', ''],
  ['infuse-Nh', 'Infuse N h', 0, 0, 5, 8, 'N*60', 'N*120', '', null, 'acid: cool room', 'stir at half time'],
  ['ferment-3wk', 'Ferment 3-4 weeks', 1, 2, 15, 25, 30240, 40320, '', null, 'ferment 70-75 F', 'skim daily; press under the brine'],
  ['drain', 'Drain and rinse', 0.1, 0.2, 3, 6, 5, 10, 'hands', 30, '2 h cut', ''],
  ['hot-brine', 'Boil brine and pour', 0, 0, 5, 10, 10, 15, 'hands+burner', 10, 'hot', ''],
  ['raw-pack', 'Pack raw into hot jars', 0.6, 1.5, 0, 0, 0, 0, 'hands', 15, '', 'per pint 1.5-3 min for whole vegetables'],
  ['top-up', 'Cover with boiling liquid', 0, 0, 5, 8, 0, 0, 'hands+burner', 10, 'hot', ''],
  ['acid', 'Acid into each jar', 0, 0, 2, 4, 0, 0, 'hands', null, '', 'dose before the food'],
  ['fill', 'Fill, bubbles, top up, wipe, lids', 0, 0, 0, 0, 0, 0, 'hands', 10, 'hot', '1.0-1.8 min a pint; 1.3-2.2 a quart; 0.8-1.2 a half-pint'],
  ['skim', 'Skim foam', 0, 0, 2, 4, 0, 0, 'hands', 5, 'hot', ''],
  ['blister-peel', 'Blister under heat, cover, peel', 2, 3.5, 10, 15, 10, 15, 'hands+oven', null, '2 h cut', ''],
  ['boil-30-peel', 'Boil 25-30 min and slip skins', 0.8, 1.5, 2, 4, 25, 35, 'burner+big pot+hands', null, '2 h cut', ''],
  ['load', 'Jars into the canner', 0, 0, 3, 6, 0, 0, 'hands+canner', 10, '', ''],
  ['heat-up', 'Canner to the boil', 0, 0, 0, 0, 10, 30, 'burner+canner', null, '', 'energy model; then as measured'],
  ['process', 'Process', 0, 0, 0, 0, 'T', 'T', 'burner+canner', null, '', 'tested minutes; someone in the house'],
  ['rest', 'Heat off, lid off', 0, 0, 1, 1, 5, 5, 'canner', null, '', ''],
  ['unload', 'Jars out', 0, 0, 3, 5, 0, 0, 'hands+canner', 20, '', ''],
];

type Span = readonly [low: number, high: number];

export interface StepRow extends Cited {
  /** `boil-N` stands for `boil-1`, `boil-5` and so on. */
  readonly step: string;
  readonly words: string;
  /** Hands-on minutes per pound of produce, and per batch. */
  readonly handsPerLb: Span;
  readonly fixedMinutes: Span;
  /** Minutes that pass by themselves, before the number of an entry is put in. */
  readonly waitMinutes: readonly [low: TableMinutes, high: TableMinutes];
  /** What it needs besides: hands, burner, big pot, mill, strainer, oven, refrigerator, canner. */
  readonly resources: readonly string[];
  /** The longest pause that may follow, in minutes. */
  readonly longestPauseAfter?: number;
  /** How the food is held meanwhile: "hot", "refrigerated", "2 h cut". */
  readonly holding: string;
  readonly note: string;
}

function stepRow(row: StepTableRow): StepRow {
  const [step, words, handsLow, handsHigh, fixedLow, fixedHigh, waitLow, waitHigh, resources, pause, holding, note] =
    row;
  return {
    step,
    words,
    handsPerLb: [handsLow, handsHigh],
    fixedMinutes: [fixedLow, fixedHigh],
    waitMinutes: [waitLow, waitHigh],
    resources: resources === '' ? [] : resources.split(/\+| or /),
    ...(pause !== null && { longestPauseAfter: pause }),
    holding,
    note,
    ...COMMON_PRACTICE,
  };
}

/** How long each step takes. Common practice throughout: a start that the household's own pace replaces. */
export const STEPS: readonly StepRow[] = ROWS.map(stepRow);
const BY_STEP = new Map([...STEPS, ...FURTHER_STEPS.map(stepRow)].map((row) => [row.step, row]));

/** Every step of the handbook, the printed ones first. */
export function allStepRows(): readonly StepRow[] {
  return [...BY_STEP.values()];
}

/** Steps in a household's own words, by their entry. */
export const ownSteps = new Laid<ReadonlyMap<string, StepRow>>(new Map());

/** A row by its own name, `simmer-N` and not `simmer-20`; undefined for what is no step of the handbook. */
export function stepRowNamed(step: string): StepRow | undefined {
  return BY_STEP.get(step) ?? ownSteps.now.get(step);
}

/** Hands-on minutes per jar where a step is done jar by jar: `fill` from the table's note, `close` a part of it. */
const PER_JAR: Readonly<Record<string, { readonly quart: Span; readonly pint: Span; readonly halfPint: Span }>> = {
  fill: { quart: [1.3, 2.2], pint: [1, 1.8], halfPint: [0.8, 1.2] },
  close: { quart: [0.6, 1.1], pint: [0.5, 0.9], halfPint: [0.4, 0.7] },
};

/** Shorter words where a strip has little room. */
const SHORT_WORDS: Readonly<Record<string, string>> = {
  wash: 'Wash, pick over',
  'scald-peel': 'Scald and peel',
  'food-mill': 'Through the mill',
  'top-up': 'Cover with boiling water',
  'raw-pack': 'Pack into hot jars',
  syrup: 'Make syrup, keep hot',
  'crush-heat': 'Crush and heat',
  'crush-measure': 'Crush, measure',
  'boil-1-hard': 'Boil hard 1 min',
  'boil-to-set-N': 'Boil to set, N min',
  'blister-peel': 'Blister and peel',
  'boil-30-peel': 'Boil and peel',
  'steam-20-peel': 'Steam and peel',
  'wash-blossom-end': 'Wash, cut ends',
  thicken: 'Thicken',
  'drip-2h': 'Drip in a bag',
  'drip-4h': 'Drip',
  fill: 'Fill',
};

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

export interface Step {
  readonly row: StepRow;
  readonly waitMinutes: Span;
  /** As short as a strip needs it. */
  readonly words: string;
  readonly plainWords: string;
  readonly handsPerJar?: { readonly quart: Span; readonly pint: Span; readonly halfPint: Span };
}

/** Whether a sequence entry names a step. */
export function isStep(entry: string): boolean {
  const numbered = /^(.+)-(\d+)(h?)$/.exec(entry);
  if (/-Nh?$/.test(entry)) return false;
  return BY_STEP.has(entry) || (numbered !== null && BY_STEP.has(`${numbered[1]}-N${numbered[3]}`));
}

/**
 * A sequence entry with its number put in: `boil-5` is the row `boil-N`, waits 5 min and is "Boil 5 min".
 *
 * @throws RangeError for an entry that names no step
 */
export function stepOf(entry: string): Step {
  const own = ownSteps.now.get(entry);
  if (own) {
    const [low, high] = own.waitMinutes;
    return {
      row: own,
      waitMinutes: [minutes(low, 0), minutes(high, 0)],
      words: shortened(own.words),
      plainWords: own.words,
    };
  }
  const numbered = /^(.+)-(\d+)(h?)$/.exec(entry);
  const row = BY_STEP.get(entry) ?? (numbered && BY_STEP.get(`${numbered[1]}-N${numbered[3]}`));
  if (!row || /-Nh?$/.test(entry)) throw new RangeError(`no step for the sequence entry ${JSON.stringify(entry)}`);
  const n = Number(numbered?.[2] ?? 0);
  const numberedWords = (words: string) => (row.step.includes('N') ? words.replace(/\bN\b/, String(n)) : words);
  return {
    row,
    waitMinutes: [minutes(row.waitMinutes[0], n), minutes(row.waitMinutes[1], n)],
    words: numberedWords(SHORT_WORDS[row.step] ?? row.words),
    plainWords: numberedWords(row.words),
    handsPerJar: PER_JAR[row.step],
  };
}

/** So many letters a strip has room for. */
const MOST_LETTERS = 60;

function shortened(words: string): string {
  return words.length > MOST_LETTERS ? `${words.slice(0, MOST_LETTERS - 1)}…` : words;
}

function minutes(value: TableMinutes, n: number): number {
  switch (value) {
    case 'N':
      return n;
    case 'N*60':
      return 60 * n;
    case 'N*60+60':
      return 60 * n + 60;
    case 'N*120':
      return 120 * n;
    case 'T':
      return 0;
    default:
      return value;
  }
}
