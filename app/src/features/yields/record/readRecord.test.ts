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
  juice: '',
  trimmings: '',
  cookedOff: '',
  trimmingsTo: 'untold',
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

// What is not typed was not measured: it is never taken for none, nor worked out from the rest.
test('juice, trimmings and what cooked off are each as measured, or not measured', () => {
  const told = { juice: '5 1/2', trimmings: '6', cookedOff: '0', trimmingsTo: 'animals' } as const;
  expect(readRecord({ ...draft, ...told }, 'lb', [])).toMatchObject({
    record: {
      juiceMl: expect.closeTo(5.5 * 946.353, 0),
      trimmingsKg: expect.closeTo(6 * LB, 6),
      cookedOffMl: 0,
      trimmingsTo: 'animals',
    },
  });
  expect(readRecord({ ...draft, juice: '5,2' }, 'kg', [])).toMatchObject({ record: { juiceMl: 5_200 } });
  expect(readRecord(draft, 'lb', [])).toMatchObject({
    record: { juiceMl: null, trimmingsKg: null, cookedOffMl: null, trimmingsTo: null },
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
  [{ juice: 'some' }, 'juice'],
  [{ cookedOff: 'half' }, 'cookedOff'],
  [{ trimmings: 'a bucketful' }, 'trimmings'],
] as const)('%j is a slip of %s', (more, field) => {
  expect(readRecord({ ...draft, ...more }, 'lb', [])).toEqual({
    kind: 'slip',
    field,
    sentence: expect.stringMatching(/[.?]$/),
  });
});
