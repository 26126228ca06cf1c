import fc from 'fast-check';
import { type JarSize } from '../handbook/jars';
import { closeBatch } from './closeBatch';

const sizes = fc.constantFrom<JarSize>('quart', 'pint', 'half-pint');

test('every jar of a batch is somewhere: out of a canner, broken, or written down besides; none twice', () => {
  const load = fc.record({
    phase: fc.constantFrom('planned' as const, 'heating' as const, 'cooling' as const, 'checked' as const),
    jars: fc.integer({ min: 0, max: 9 }),
    broken: fc.integer({ min: 0, max: 2 }),
  });
  const written = fc.uniqueArray(fc.record({ jar: sizes, count: fc.integer({ min: 0, max: 12 }) }), {
    selector: ({ jar }) => jar,
  });
  fc.assert(
    fc.property(sizes, fc.array(load, { maxLength: 4 }), fc.option(written), (jar, states, jars) => {
      const loads = states.map((state, i) => ({ id: `l${i}`, number: i + 1, jars: state.jars }));
      const byId = new Map(states.map((state, i) => [`l${i}`, state] as const));
      const close = closeBatch({ jar, loads }, byId, jars ? { jars, partJar: { jar, part: 0.5 } } : undefined);
      let out = 0;
      for (const { phase, jars: each } of states) if (phase === 'cooling' || phase === 'checked') out += each;
      expect(close.out).toBe(out);
      expect(close.broken).toBe(states.reduce((all, { broken }) => all + broken, 0));
      if (!jars) expect([close.written, close.besides, close.partJar]).toEqual([undefined, [], undefined]);
      else {
        const all = jars.reduce((total, { count }) => total + count, 0);
        const besides = close.besides.reduce((total, { count }) => total + count, 0);
        expect((close.written ?? NaN) + besides).toBe(all);
        expect(close.partJar).toEqual({ jar, part: 0.5 });
      }
    }),
  );
});
