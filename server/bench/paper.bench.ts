import { performance } from 'node:perf_hooks';
import { jarAddress } from '@hoddle/core/formats/labels/jarLabelOf';
import { STOCK_SHEETS } from '@hoddle/core/formats/labels/labelSheet';
import { MOST_ROWS, readWhole } from '@hoddle/core/formats/tablesIn/readTable';
import { picksIn } from '@hoddle/core/formats/tablesIn/picksIn';
import { jarCode } from '@hoddle/core/pantry/jarCode';
import { type LabelJob, labelPdf, layJob } from '../src/paper/labelSheets';
import { machine, say } from './trust/report';

/** How long 500 labels and 5,000 rows take, and what the labels weigh. Asked: under 3 s and 2 MB, under 2 s. */
const LABELS = 500;

say(machine());
let ok = true;
for (const sheet of STOCK_SHEETS) {
  const labels = Array.from({ length: LABELS }, (_, i) => {
    const code = jarCode(`lot ${i}`, 7);
    const address = jarAddress('http://192.168.1.20:4860', code);
    const lines = ['Made Aug 29, 2026', 'Best by Aug 2027', 'Boiling water, 50 min'];
    return {
      label: { name: `Bread-and-butter pickles ${i}`, lines, code, small: ['for the fair'], address },
      count: 1,
    };
  });
  const job: LabelJob = { sheet, startAt: 1, nudgeMm: { x: 0, y: 0 }, labels };
  const began = performance.now();
  const laid = layJob(job);
  if (laid.kind !== 'laid') throw new Error(laid.reason);
  const pdf = await labelPdf(job, laid, 0);
  const ms = performance.now() - began;
  ok &&= ms < 3_000 && pdf.length < 2_000_000;
  say(`${LABELS} labels, each another, ${sheet.id}: ${Math.round(ms)} ms, ${Math.round(pdf.length / 1_000)} kB`);
}
const rows = Array.from(
  { length: MOST_ROWS },
  (_, i) =>
    `2025-${String(1 + (i % 12)).padStart(2, '0')}-${String(1 + (i % 28)).padStart(2, '0')},Damson plums,${1 + (i % 97)} lb`,
);
const began = performance.now();
const spec = picksIn({ now: Date.UTC(2026, 7, 29), units: 'us' });
const file = readWhole(`date,crop,amount\n${rows.join('\n')}`, spec, { idOf: (words) => words });
const ms = performance.now() - began;
ok &&= ms < 2_000 && file.kind === 'read' && file.faults.length === 0;
say(`${MOST_ROWS} rows of picks read: ${Math.round(ms)} ms`);
process.exit(ok ? 0 : 1);
