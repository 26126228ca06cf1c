import { NOTHING_MORE } from '@hoddle/core/yields/batchRecord';
import { type RecordDraft, readRecord } from './readRecord';

const LB = 0.45359237;
const draft: RecordDraft = {
  crop: 'apple',
  product: 'applesauce',
  amount: '42',
  jars: '13',
  jar: 'quart',
  otherJars: '2',
  otherJar: 'pint',
  part: '0.5',
  water: '4',
  sugar: '1/2',
  note: ' Good. ',
  jarMake: '',
  lidMake: '',
  leftover: '',
  faults: [],
};

// NIST Handbook 44: a US cup is 236.588 ml.
test('what was typed becomes one record: both sizes, the part jar, water and sugar where they count', () => {
  expect(readRecord(draft, 'lb', [])).toEqual({
    kind: 'record',
    record: {
      product: 'applesauce',
      crop: 'apple',
      massKg: expect.closeTo(42 * LB, 6),
      waterMl: expect.closeTo(4 * 236.588, 1),
      sugarKg: expect.closeTo(0.5 * LB, 6),
      jars: [
        { jar: 'quart', count: 13 },
        { jar: 'pint', count: 2 },
      ],
      partJar: { jar: 'quart', part: 0.5 },
      note: 'Good.',
      ...NOTHING_MORE,
    },
  });
  expect(readRecord({ ...draft, product: 'apples-sliced' }, 'lb', [])).toMatchObject({
    record: { waterMl: 0, sugarKg: 0 },
  });
});

test.each([
  [{ amount: '' }, 'amount'],
  [{ amount: 'a box' }, 'amount'],
  [{ jars: '' }, 'jars'],
  [{ jars: '7 1/2' }, 'jars'],
  [{ jars: '-7' }, 'jars'],
  [{ jars: '0', otherJars: '', part: '0' }, 'jars'],
  [{ otherJars: 'few' }, 'otherJars'],
  [{ water: 'a lot' }, 'water'],
] as const)('%j is a slip of %s', (more, field) => {
  expect(readRecord({ ...draft, ...more }, 'lb', [])).toEqual({
    kind: 'slip',
    field,
    sentence: expect.stringMatching(/[.?]$/),
  });
});
