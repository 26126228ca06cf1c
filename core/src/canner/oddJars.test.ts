import { type OddJars, oddJars } from './oddJars';

const odd: OddJars = {
  jars: 3,
  places: 7,
  method: 'boiling-water',
  minutes: 45,
  aroundMin: 25,
  waterL: 17,
  keepsDays: 2,
  refrigeratorDays: 7,
};
const open = { loadId: 'plums', method: 'boiling-water', minutes: 25, free: 4 } as const;

test('all four ways out are costed, the one that saves most canner time first', () => {
  expect(oddJars(odd, [open])).toEqual([
    // 20 min longer for the plums, instead of 70 min for a load of its own.
    {
      kind: 'share',
      withLoadId: 'plums',
      minutes: 45,
      savedMin: 50,
      note: 'What needs only 25 min is softer after 45.',
    },
    { kind: 'hold', days: 2, savedMin: 70 },
    { kind: 'refrigerate', days: 7, savedMin: 70 },
    { kind: 'runShort', occupiedMin: 70, spacers: 4, waterL: 17 },
  ]);
});

// Handbook rules 7, 10 and 15.
test('jars share a load only with one method, one pressure, room enough, and steam up to 45 min', () => {
  const kinds = (part: Partial<OddJars>, other: object = {}) =>
    oddJars({ ...odd, ...part }, [{ ...open, ...other }]).map(({ kind }) => kind);
  expect(kinds({}, { minutes: 45 })).toContain('share');
  expect(kinds({}, { method: 'steam' })).not.toContain('share');
  expect(
    kinds({ method: 'pressure-dial', pressurePsi: 11 }, { method: 'pressure-dial', pressurePsi: 13 }),
  ).not.toContain('share');
  expect(kinds({}, { free: 2 })).not.toContain('share');
  expect(kinds({ method: 'steam', minutes: 40 }, { method: 'steam', minutes: 45 })).toContain('share');
  expect(kinds({ method: 'steam', minutes: 40 }, { method: 'steam', minutes: 50 })).not.toContain('share');
  expect(kinds({ keepsDays: 0, refrigeratorDays: undefined })).toEqual(['share', 'runShort']);
});
