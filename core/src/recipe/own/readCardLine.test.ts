import { UNIT_SIZES, type PrintedUnit } from '../../handbook/cards/cardAmount';
import { readCardLine, type ReadLine } from './readCardLine';
import { ONCE_WRONG, WRITTEN_LINES, type WrittenExample } from './writtenLines';

/** What of a reading is not as a cook reads it. */
function faults(read: ReadLine, meant: WrittenExample): string[] {
  const { amount, item, role, crops, then } = read;
  const wrong: string[] = [];
  if (typeof meant.amount === 'string') {
    if (amount.of !== 'words' || amount.words !== meant.amount) wrong.push(`amount ${JSON.stringify(amount)}`);
  } else {
    const [low, high, unit] = meant.amount;
    const { of, size } = UNIT_SIZES[unit as PrintedUnit];
    const near = (a: number, b: number) => Math.abs(a - b) <= 0.005 * b;
    if (amount.of !== of || !near(amount.low, low * size) || !near(amount.high, high * size))
      wrong.push(`amount ${JSON.stringify(amount)}`);
  }
  if (!meant.item.test(item)) wrong.push(`item ${item}`);
  if (role !== meant.role) wrong.push(`role ${role}`);
  if (meant.crop === undefined ? crops.length > 0 && meant.role !== 'spice' : !crops.includes(meant.crop))
    wrong.push(`crops ${crops.join()}`);
  if (then !== (meant.then ?? 'jar')) wrong.push(`then ${then}`);
  return wrong;
}

describe('sixty lines as people write them', () => {
  const results = WRITTEN_LINES.map((meant) => {
    const read = readCardLine(meant.text);
    return { text: meant.text, faults: faults(read, meant), open: read.open, meant: meant.open };
  });

  test('at least 55 are read as a cook reads them, with what she would ask', () => {
    const wrong = results.filter((each) => each.faults.length > 0 || each.open !== each.meant);
    expect({ count: results.length, wrong: wrong.length <= 5 ? [] : wrong }).toEqual({ count: 60, wrong: [] });
  });

  test('none is read wrong without being asked about', () => {
    expect(results.filter((each) => each.faults.length > 0 && each.open === undefined)).toEqual([]);
  });
});

test.each(ONCE_WRONG.map((meant) => [meant.text, meant] as const))('%s', (text, meant) => {
  const read = readCardLine(text);
  expect({ faults: faults(read, meant), open: read.open }).toEqual({ faults: [], open: meant.open });
});

test('a weak or home-made vinegar is no acid of five per cent, whatever else is written', () => {
  for (const text of [
    '1 cup rice vinegar (4.2%)',
    '1 qt. homemade vinegar',
    '2 cups vinegar 4 %',
    '1 cup home-made cider vinegar 6 %',
  ]) {
    expect(readCardLine(text)).toMatchObject({ role: 'vinegar', weak: true });
  }
  expect(readCardLine('2 cups vinegar 5 %').weak).toBeUndefined();
});

test('whatever is pasted is kept as it is', () => {
  for (const text of [
    '<script>alert(1)</script>',
    '',
    '🍓🍓🍓',
    'ça va, 2 c de sucre',
    '9'.repeat(400),
    'null\u0000byte',
  ]) {
    expect(readCardLine(text).text).toBe(text.trim().replace(/\s+/g, ' '));
  }
});
