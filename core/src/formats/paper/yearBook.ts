import { type Batch, isCanned, nameOf } from '../../day/batch';
import { countJars, countSizes, JARS } from '../../handbook/jars';
import { produceRow } from '../../handbook/produce';
import { productRow } from '../../handbook/products';
import { printFraction } from '../../measure/fraction';
import { type DateStyle, dateWords } from '../../measure/dateWords';
import { localDate } from '../../measure/localTime';
import { massWords } from '../../measure/massWords';
import { cannerWords } from '../../day/cannerWords';
import { type BatchRecord, lbPerQuartOf } from '../../yields/batchRecord';
import { KG_PER_LB, ML_PER_QUART } from '../../measure/amount';
import { item, type Paper, type PaperItem } from './paper';

/** What a year put up, batch by batch: of what, how many jars, how much to the jar, how it went. */
export function yearBook(
  year: number,
  records: readonly BatchRecord[],
  batches: readonly Batch[],
  { dates, units }: { dates: DateStyle; units: 'us' | 'metric' },
): Paper {
  const own = records
    .filter(({ madeAt }) => localDate(madeAt, dates.timeZone).getFullYear() === year)
    .sort((a, b) => a.madeAt - b.madeAt);
  const byId = new Map(batches.map((batch) => [batch.id, batch]));
  const jars = own.reduce((sum, { jars: made }) => sum + made.reduce((all, { count }) => all + count, 0), 0);
  return {
    title: `The year book, ${year}`,
    note: `${own.length} ${own.length === 1 ? 'batch' : 'batches'}, ${jars} jars`,
    parts:
      own.length === 0
        ? [{ kind: 'words', words: 'Nothing was written down in this year.' }]
        : [
            {
              kind: 'table',
              columns: [
                { words: 'Made', share: 16 },
                { words: 'What', share: 48 },
                { words: 'Jars', share: 18 },
                { words: units === 'metric' ? 'kg to a litre' : 'lb to a quart', share: 18 },
              ],
              rows: own.map((record) =>
                rowOf(record, record.batchId === null ? undefined : byId.get(record.batchId), dates, units),
              ),
            },
          ],
  };
}

function rowOf(record: BatchRecord, batch: Batch | undefined, dates: DateStyle, units: 'us' | 'metric'): PaperItem[] {
  const perQuart = lbPerQuartOf(record);
  const name = batch ? nameOf(batch) : productRow(record.product).name;
  const part = record.partJar ? `and ${printFraction(record.partJar.part)} ${JARS[record.partJar.jar].one}` : '';
  const how = [
    `${massWords(record.massKg, units)} ${produceRow(record.crop).name.toLowerCase()}`,
    ...(batch && isCanned(batch) ? [cannerWords(batch).process] : []),
    ...(record.faults.length > 0 ? [record.faults.join(', ')] : []),
    ...(record.jarMake === '' && record.lidMake === ''
      ? []
      : [[record.jarMake, record.lidMake].filter(Boolean).join(' jars, ')]),
    ...(record.note === '' ? [] : [record.note]),
  ];
  return [
    item(dateWords(record.madeAt, dates)),
    item(name, how.join('; ')),
    item(
      countSizes(record.jars.filter(({ count }) => count > 0)) || countJars(0, record.jars[0]?.jar ?? 'quart'),
      part,
    ),
    item(perQuart === undefined ? '' : perUnit(perQuart, units)),
  ];
}

function perUnit(lbPerQuart: number, units: 'us' | 'metric'): string {
  const value = units === 'metric' ? (lbPerQuart * KG_PER_LB * 1_000) / ML_PER_QUART : lbPerQuart;
  return value.toFixed(1);
}
