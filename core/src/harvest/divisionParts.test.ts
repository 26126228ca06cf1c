import fc from 'fast-check';
import { leftOver, withBorder, withMass, withPart } from './divisionParts';

type Change =
  | { readonly kind: 'add' }
  | { readonly kind: 'mass'; readonly at: number; readonly kg: number }
  | { readonly kind: 'border'; readonly at: number; readonly kg: number };

const any = fc.double({ min: -50, max: 90, noNaN: true });
const anyChange: fc.Arbitrary<Change> = fc.oneof(
  fc.constant({ kind: 'add' as const }),
  fc.record({ kind: fc.constant('mass' as const), at: fc.nat(5), kg: any }),
  fc.record({ kind: fc.constant('border' as const), at: fc.nat(5), kg: any }),
);

test('whatever is dragged or typed, no part is below nothing, and parts and rest are the lot', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 60, noNaN: true }),
      fc.array(anyChange, { maxLength: 20 }),
      (total, told) => {
        let parts: { massKg: number }[] = [];
        for (const change of told) {
          const before = parts;
          if (change.kind === 'add') parts = withPart(parts, total, (massKg) => ({ massKg }));
          else if (change.kind === 'mass') parts = withMass(parts, total, change.at, change.kg);
          else parts = withBorder(parts, total, change.at, change.kg);
          expect(parts.every(({ massKg }) => massKg >= -1e-9)).toBe(true);
          const given = parts.reduce((sum, { massKg }) => sum + massKg, 0);
          expect(given + leftOver(parts, total)).toBeCloseTo(total, 6);
          // Typing one part changes that one alone; a border those beside it.
          const changed = before.flatMap((part, i) => (parts[i] && parts[i].massKg !== part.massKg ? [i] : []));
          if (change.kind === 'mass') expect(changed.every((i) => i === change.at)).toBe(true);
          if (change.kind === 'border') expect(changed.every((i) => i === change.at || i === change.at + 1)).toBe(true);
        }
      },
    ),
  );
});

test('the first part gets all, the next ones half of the largest; a new one what is left over', () => {
  const make = (massKg: number) => ({ massKg });
  const masses = (parts: readonly { massKg: number }[]) => parts.map(({ massKg }) => massKg);
  const two = withPart(withPart([], 40, make), 40, make);
  expect(masses(two)).toEqual([20, 20]);
  expect(masses(withPart(two, 40, make))).toEqual([10, 20, 10]);
  expect(masses(withPart(withMass(two, 40, 0, 5), 40, make))).toEqual([5, 20, 15]);
});
