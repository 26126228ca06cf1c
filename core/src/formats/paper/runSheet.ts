import { type BatchAmounts } from '../../day/amountsOfBatch';
import { type Batch, isCanned, jarCounts, jarsWords, nameOf, ofLoad, type PlannedLoad } from '../../day/batch';
import { cannerWords } from '../../day/cannerWords';
import { type DayTask, type ScheduledTask, type TaskKind } from '../../day/dayProblem';
import { type KitchenLife } from '../../day/errandTasks';
import { minutesOf } from '../../day/sharedLoad';
import { whoDoes } from '../../day/whoDoes';
import { type JarSize, JARS } from '../../handbook/jars';
import { clockWords, type DateStyle, weekdayDateWords, weekdayWords } from '../../measure/dateWords';
import { localDay } from '../../measure/localTime';
import { findTestedRow, type HouseholdPages } from '../../process/findProcess';
import { amountWordsOf } from '../../recipe/amountWords';
import { linesOfStep, produceOfStep } from '../../recipe/stepGroups';
import { doseWords } from './doseWords';
import { item, type Paper, type PaperItem, type PaperPart } from './paper';

/** A day as it is laid out. */
export interface RunSheetDay {
  readonly startAt: number;
  readonly tasks: readonly ScheduledTask[];
  readonly batches: readonly Batch[];
  /** In the order in which they come into the canners, without those that go in with another; each as its canner processes it. */
  readonly loads: readonly { readonly load: PlannedLoad; readonly batch: Batch; readonly minutes: number }[];
  /** Who is there when; minute 0 of the tasks is its beginning. */
  readonly life: KitchenLife;
  readonly canners: readonly { readonly id: string; readonly name: string }[];
  /** When it is likely over. */
  readonly likelyAt: number;
}

export interface RunSheetGround {
  readonly dates: DateStyle;
  readonly units: 'us' | 'metric';
  readonly pages: HouseholdPages;
  readonly amountsOf: (batch: Batch) => BatchAmounts | undefined;
}

/** Of a load its way in and its way out stand on the sheet; what the canner does between is told with them. */
const TOLD_WITH_LOAD: readonly TaskKind[] = ['heat-up', 'process', 'rest'];

const MINUTE_MS = 60_000;

/** The day on one sheet, for the wall over the stove: order, times, amounts, minutes, doses, who. */
export function runSheet(day: RunSheetDay, ground: RunSheetGround): Paper {
  const { dates, units, pages, amountsOf } = ground;
  const { timeZone } = dates;
  const who = whoDoes(day.tasks, day.life);
  const amounts = new Map(day.batches.map((batch) => [batch.id, amountsOf(batch)]));
  const numberOf = new Map(day.loads.map(({ load }, i) => [load.id, i + 1]));
  const shown = new Set<string>();
  const firstDay = localDay(day.startAt, timeZone);
  const rows = day.tasks
    .filter(({ task }) => !TOLD_WITH_LOAD.includes(task.kind))
    .map(({ task, startMin, endMin }): PaperItem[] => {
      const at = day.startAt + startMin * MINUTE_MS;
      const batch = day.batches.find(({ id }) => id === task.batchId);
      const number = task.loadId === undefined ? undefined : numberOf.get(task.loadId);
      const load = day.loads.find(({ load: each }) => each.id === task.loadId);
      const canner = day.canners.find(({ id }) => id === task.cannerId)?.name;
      const of = [
        ...(number === undefined ? [] : [`load ${number}`]),
        ...(batch && day.batches.length > 1 ? [nameOf(batch, load?.load).toLowerCase()] : []),
        ...(canner === undefined ? [] : [canner]),
      ];
      const lines = batch ? amountsAt(task, amounts.get(batch.id), units, shown) : [];
      const process = task.kind === 'load' && load ? [processWords(load)] : [];
      const isOther = localDay(at, timeZone) !== firstDay;
      return [
        item(clockWords(at, timeZone), isOther ? weekdayWords(at, timeZone) : undefined),
        item(task.words, [of.join(', '), ...process, ...lines].filter((words) => words !== '').join('; ')),
        item(`${Math.round(endMin - startMin)}`),
        item(who.get(task.id) ?? ''),
      ];
    });
  const { cooks } = day.life.setup;
  const [one] = cooks;
  const columns = [
    { words: 'When', share: 17 },
    { words: 'What', share: 61 },
    { words: 'min', share: 9 },
    { words: 'Who', share: 13 },
  ];
  const alone = cooks.length < 2;
  return {
    title: `${weekdayDateWords(day.startAt, dates)}: ${[...new Set(day.batches.map((batch) => nameOf(batch)))].join(', ')}`,
    note: `${day.loads.length} ${day.loads.length === 1 ? 'load' : 'loads'}${alone && one ? `, ${one.name}` : ''}; likely done ${clockWords(day.likelyAt, timeZone)}`,
    onePage: true,
    parts: [
      ...day.batches.flatMap((batch): PaperPart[] => batchHead(batch, day, pages)),
      {
        kind: 'table',
        columns: alone ? columns.slice(0, 3) : columns,
        rows: alone ? rows.map((row) => row.slice(0, 3)) : rows,
      },
    ],
    foot: day.batches.some(isCanned) ? CANNER_FOOT : COLD_FOOT,
  };
}

const CANNER_FOOT =
  'The clock starts at a full boil, steam or pressure, never before; lost, it starts again from zero. When times differ, the longer one. Your extension office and local codes come first.';
const COLD_FOOT =
  'Kept cold, never on a shelf: nobody tested a time for it. Your extension office and local codes come first.';

/** Name, jars, the minutes of each size and what goes into each jar. */
function batchHead(batch: Batch, { loads, batches }: RunSheetDay, pages: HouseholdPages): PaperPart[] {
  const rows = jarCounts(batch).flatMap(({ jar }) => {
    const row = isCanned(batch) ? findTestedRow({ ...batch, jar }, pages) : undefined;
    return row?.kind === 'testedRow' ? [{ jar, row }] : [];
  });
  // Of two sizes each has its own minutes; what goes in with longer ones has those.
  const ways = new Map<string, Set<JarSize>>();
  for (const load of batch.loads) {
    const own = loads.find((each) => each.load.id === load.id);
    const of = ofLoad(own?.batch ?? batch, load);
    const minutes = own?.minutes ?? minutesOf(batch, load, batches);
    const { process } = cannerWords({ ...of, processMinutes: minutes });
    ways.set(process, (ways.get(process) ?? new Set()).add(of.jar));
  }
  const several = (sizes: Set<JarSize>) => [...sizes].map((size) => JARS[size].several).join(' and ');
  const words = [...ways].map(([process, sizes]) => (ways.size === 1 ? process : `${several(sizes)} ${process}`));
  const from = isCanned(batch) ? `, looked up for ${batch.altitudeFt.toLocaleString('en-US')} ft` : '';
  return [
    { kind: 'words', words: `${nameOf(batch)}: ${jarsWords(batch)}. ${words.join('; ')}${from}.`, bold: true },
    ...rows.map(({ jar, row }): PaperPart => ({ kind: 'words', words: doseWords(row, jar) })),
  ];
}

function processWords({ batch, load, minutes }: RunSheetDay['loads'][number]): string {
  const words = cannerWords({ ...ofLoad(batch, load), processMinutes: minutes });
  return [words.heatUp, words.process, words.rest].filter(Boolean).map(lowerFirst).join(', then ');
}

/** What goes in at a step: into the pots of its own load, or of all of them; told once however often the step comes. */
function amountsAt(
  { entry, batchId, loadId, pounds }: DayTask,
  amounts: BatchAmounts | undefined,
  units: 'us' | 'metric',
  shown: Set<string>,
): string[] {
  const key = `${batchId} ${loadId} ${entry}`;
  if (entry === undefined || !amounts || shown.has(key)) return [];
  shown.add(key);
  const lines = amounts.loads.find((load) => load.loadId === loadId)?.amounts.lines ?? amounts.lines;
  const own = linesOfStep(lines, entry);
  // A step that is done by the pound names its pounds itself.
  const told = own.length > 0 || pounds !== undefined ? own : produceOfStep(lines, amounts.card, entry);
  return told.map((line) => {
    const { amount, item: of } = amountWordsOf(line, units, 'all');
    return `${amount} ${of}`;
  });
}

function lowerFirst(words: string): string {
  return words.charAt(0).toLowerCase() + words.slice(1);
}
