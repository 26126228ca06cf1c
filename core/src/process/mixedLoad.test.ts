import { findProcess, type TestedProcess } from './findProcess';
import { mixedLoad } from './mixedLoad';

function at(product: string, jar: string, method: string): TestedProcess {
  const answer = findProcess({ product, pack: 'hot', jar, method, altitudeFt: 500 });
  if (answer.kind === 'refusal') throw new Error(answer.reason);
  return answer;
}

// Handbook rule 15. USDA Complete Guide to Home Canning, 2015, guides 2, 3 and 4: minutes at 0 to 1,000 ft.
test('a mixed load takes the longest time, with a note on what is softer for it', () => {
  const load = mixedLoad([at('tomatoes-crushed', 'quart', 'boiling-water'), at('plums', 'pint', 'boiling-water')]);
  expect(load).toEqual({ kind: 'mixed', minutes: 45, note: 'What needs only 20 min is softer after 45.' });
  expect(mixedLoad([at('plums', 'pint', 'boiling-water')])).toEqual({ kind: 'mixed', minutes: 20 });
});

test('different ways and different pressures never share a load', () => {
  const beans = at('snap-beans', 'pint', 'pressure-dial');
  expect(mixedLoad([beans, at('plums', 'pint', 'boiling-water')])).toMatchObject({ kind: 'refusal' });
  expect(mixedLoad([beans, at('applesauce', 'pint', 'pressure-dial')])).toMatchObject({ kind: 'refusal' });
  expect(mixedLoad([beans, at('carrots', 'quart', 'pressure-dial')])).toMatchObject({ minutes: 30, pressurePsi: 11 });
});
