import fc from 'fast-check';
import { type Batch } from './batch';
import { timedUses } from './timedUses';
import { type ProduceId } from '../handbook/produce';
import { onHand } from '../harvest/onHand';
import { type Pick } from '../harvest/pick';
import { takeForBatch } from '../harvest/takeForBatch';
import { withWhatWentIn } from './whatWentIn';

const DAY = 24 * 60 * 60_000;
const anyPick = (id: string, crop: ProduceId) =>
  fc
    .record({ massKg: fc.double({ min: 0.5, max: 20, noNaN: true }), soft: fc.double({ min: 0, max: 1, noNaN: true }) })
    .map(({ massKg, soft }): Pick => ({
      ...{ id, crop, massKg, softKg: massKg * soft, ripeness: 'ripe', place: 'counter', pickedAt: 0 },
      ...{ told: '', source: 'garden', plantingId: null },
    }));

test('of what was set apart just what went in is gone, the rest is on hand again, and nothing is there twice', () => {
  fc.assert(
    fc.property(
      anyPick('a', 'tomato-paste'),
      anyPick('b', 'tomato-paste'),
      anyPick('c', 'onion'),
      fc.double({ min: 0, max: 1.2, noNaN: true }),
      fc.double({ min: 0, max: 1.2, noNaN: true }),
      (a, b, c, part, used) => {
        const picks = [a, b, c];
        const of = (crop: ProduceId, batches: readonly Batch[]) =>
          onHand(picks, timedUses(batches))
            .filter((lot) => lot.crop === crop)
            .reduce((sum, { massKg }) => sum + massKg, 0);
        const allKg = a.massKg + b.massKg;
        const setApart = takeForBatch(
          onHand(picks, []).filter(({ crop }) => crop === 'tomato-paste'),
          allKg * part,
        );
        const onions = { pickId: 'c', crop: 'onion', massKg: c.massKg / 2, softKg: 0 } as const;
        const batch = { id: 'x', startAt: DAY / 2, uses: [...setApart, onions] } as unknown as Batch;
        const setApartKg = setApart.reduce((sum, { massKg }) => sum + massKg, 0);
        const massKg = setApartKg * used;
        const told = withWhatWentIn([batch], [{ batchId: 'x', crop: 'tomato-paste', massKg }]);
        const goneKg = allKg - of('tomato-paste', told);
        expect(goneKg).toBeCloseTo(Math.min(massKg, setApartKg), 1);
        // What lies beside it in the pot is as it was, and so is a batch of which nothing was written down.
        expect(of('onion', told)).toBeCloseTo(of('onion', [batch]), 9);
        expect(withWhatWentIn([batch], [{ batchId: null, crop: 'tomato-paste', massKg: 1 }])).toEqual([batch]);
        for (const { massKg: kg, softKg } of told[0]!.uses) expect(softKg).toBeLessThanOrEqual(kg + 1e-9);
      },
    ),
  );
});
