import { JARS } from '../../handbook/jars';
import { productRow } from '../../handbook/products';
import { type DateStyle, dateWords, dayWords } from '../../measure/dateWords';
import { massWords } from '../../measure/massWords';
import { madeOfWords, reportedJars } from '../../season/report/reportedWords';
import { type SeasonReport } from '../../season/report/seasonReport';
import { item, type Paper } from './paper';

/** The season on a page: which days make what, of what, and how the goals come out. */
export function seasonPaper(
  plan: SeasonReport,
  today: string,
  { dates, units }: { dates: DateStyle; units: 'us' | 'metric' },
): Paper {
  const days = plan.days.filter(({ day }) => day >= today);
  const mass = (kg: number) => massWords(kg, units);
  return {
    title: `The season ${today.slice(0, 4)}`,
    note: `${days.length} days to come, planned ${dateWords(plan.at, dates)}`,
    parts: [
      { kind: 'heading', words: 'Days' },
      {
        kind: 'table',
        columns: [
          { words: 'Day', share: 22 },
          { words: 'Jars', share: 46 },
          { words: 'Of', share: 32 },
        ],
        rows: days.flatMap(({ day, batches }) =>
          batches.map((batch, i) => [
            item(i === 0 ? dayWords(day, dates) : ''),
            item(reportedJars(batch)),
            item(madeOfWords(batch, mass)),
          ]),
        ),
      },
      { kind: 'heading', words: 'Jars wanted' },
      {
        kind: 'table',
        columns: [
          { words: 'What', share: 46 },
          { words: 'Want', share: 12 },
          { words: 'Have', share: 12 },
          { words: 'Planned', share: 12 },
          { words: '8 in 10', share: 18 },
        ],
        rows: plan.goals.map(({ product, jar, want, have, planned, range }) => [
          item(`${productRow(product).name}, ${JARS[jar].several}`),
          item(String(want)),
          item(String(have)),
          item(String(planned)),
          item(`${Math.round(range.p10)} to ${Math.round(range.p90)}`),
        ]),
      },
    ],
    foot: 'Planned from what is on hand and what the beds should bring; it changes with every basket.',
  };
}
