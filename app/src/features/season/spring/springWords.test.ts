import { type SpringBed } from '@hoddle/core/season/spring/planSpring';
import { asNowWords, basisWords, enoughWords, setWords, sowingWords } from './springWords';

const BED: SpringBed = {
  ...{ crop: 'tomato-paste', unit: 'plants', now: 60, logKgEach: 1.5, spread: 0.4, seasons: 2, ownFigure: true },
  ...{
    freshKg: 0,
    lostPart: 0,
    needKg: { p10: 50, p50: 60, p90: 70 },
    set: 72,
    more: 12,
    enoughAsNow: 0.52,
    shortKg: 18.4,
  },
  takes: [],
};
const lb = (kg: number) => `${Math.round(kg / 0.4536)} lb`;

test('what beds come to is told as years of ten, and none and all are never promised', () => {
  expect([0, 0.1, 0.52, 0.94, 1].map(enoughWords)).toEqual([
    'hardly ever enough',
    'enough in 1 year of 10',
    'enough in 5 years of 10',
    'enough in 9 years of 10',
    'enough nearly every year',
  ]);
  expect(asNowWords(BED, lb)).toBe('60 plants now: enough in 5 years of 10; in 8 years of 10 no more than 41 lb short');
  expect(asNowWords({ ...BED, now: 0 }, lb)).toBe('none grow here yet');
  expect(setWords({ ...BED, unit: 'trees', set: 1 })).toBe('1 tree');
  expect(basisWords(BED)).toBe('by what you say your bed gives and 2 seasons you picked');
  expect(basisWords({ ...BED, now: 0 })).toBe('by the common figure');
});

test('sowing: in pots and out, in its bed, planted once; what is late says what to do, another year says its year', () => {
  const pots = { crop: 'tomato-paste', begun: 'pots', weeksInPots: 7, daysToPick: 75, tender: true } as const;
  const dated = { ...pots, sowAt: Date.UTC(2027, 2, 28), setOutAt: Date.UTC(2027, 4, 16) };
  expect(sowingWords(dated, Date.UTC(2027, 1, 1), 2027)).toBe(
    'in pots about 28 Mar; out about 16 May, not before your last frost',
  );
  expect(sowingWords(dated, Date.UTC(2027, 3, 20), 2027)).toMatch(/^late for pots: buy plants; out about 16 May/);
  expect(sowingWords(pots, 0, 2027)).toBe(
    '7 weeks in pots, then out, not before your last frost; picked about 75 days later',
  );
  const garlic = { crop: 'garlic', begun: 'bed', weeksInPots: 0, daysToPick: 270, tender: false } as const;
  expect(sowingWords({ ...garlic, sowAt: Date.UTC(2026, 9, 12) }, Date.UTC(2026, 8, 1), 2027)).toBe(
    'in its bed about 12 Oct 2026',
  );
  expect(sowingWords({ ...garlic, begun: 'lasting', bearsAfterYears: 1 }, 0, 2027)).toMatch(/after about 1 year$/);
});
