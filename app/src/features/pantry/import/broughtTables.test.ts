import { MOST_ROWS, readWhole } from '@hoddle/core/formats/tablesIn/readTable';
import { searchProducts } from '@hoddle/core/handbook/searchProducts';
import { USUAL_PLACES } from '@hoddle/core/pantry/place';
import { RowsIn } from '@hoddle/contract/rowsIn';
import * as v from 'valibot';
import { idOfWords } from '@/household/pantry/useJarsIn';
import { BROUGHT, BROUGHT_TABLES, type BroughtGround } from './broughtTables';

const NOW = Date.UTC(2026, 7, 29, 12);
const ground: BroughtGround = {
  ...{ now: NOW, units: 'us', dates: { order: 'mdy', timeZone: 'America/Denver' }, meant: {}, search: searchProducts },
  places: USUAL_PLACES,
};

test.each(BROUGHT)(
  'what is shown as an example of %s is read whole, shown in words, and taken by the server',
  (name) => {
    const { example, spec, shown, sent, columns } = BROUGHT_TABLES[name];
    const read = (text: string, meant: Readonly<Record<string, string>> = {}) =>
      readWhole(text, spec({ ...ground, meant }), { dayFirst: false, idOf: idOfWords });
    // Of which tomatoes is asked about; said once it holds for every row.
    const file = read(example, { '': 'tomato-paste' });
    if (file.kind !== 'read') throw new Error(file.kind);
    expect(file.faults).toEqual([]);
    expect(file.rows.length).toBe(example.split('\n').length - 1);
    for (const { row } of file.rows) expect(shown(row, ground)).toMatch(/\d+ |: \d/);
    expect(Object.keys(columns).sort()).toEqual(Object.keys(spec(ground).columns).sort());
    if (!sent) return;
    const body = JSON.parse(JSON.stringify(sent(file.rows, NOW)));
    expect(v.safeParse(RowsIn, body).issues).toBeUndefined();
    expect(file.rows.length).toBeLessThanOrEqual(MOST_ROWS);
  },
);
