import fc from 'fast-check';
import { CARDS } from '../../handbook/cards';
import { cups, tbsp } from '../../handbook/cards/cardAmount';
import { type Card, line } from '../../handbook/cards/card';
import { productRow } from '../../handbook/products';
import { foodClass } from './foodClass';
import { noWeakerThan, vinegarPart } from './acidOfFood';

/** Handbook rule 10, typed here again: the shorter end of what each class keeps in the refrigerator. */
const DAYS: Readonly<Record<string, number>> = {
  tomato: 7,
  fruit: 7,
  'fruit-acidified': 7,
  'recipe-acid': 60,
  spread: 30,
  pickle: 60,
  ferment: 60,
  'low-acid': 3,
};

test.each(CARDS.map((card) => [card.card, card] as const))(
  '%s keeps no longer than its class in the handbook',
  (_, card) => {
    const { foodClass: kind, coldDays, acid } = foodClass(card);
    const { productClass } = productRow(card.product);
    const most = acid.hasOil ? 3 : Math.max(DAYS[productClass] ?? 0, kind === 'vinegar-pickle' ? 60 : 0);
    expect(coldDays[0]).toBeLessThanOrEqual(most);
    if (productClass === 'low-acid') expect(coldDays[0]).toBe(3);
  },
);

const brine = (more: readonly ReturnType<typeof line>[]): Pick<Card, 'ingredients' | 'steps'> => ({
  ingredients: [line('carrots', cups(4), 'low-acid', 'raw-pack', { crops: ['carrot'] }), ...more],
  steps: [{ step: 'peel' }, { step: 'boil-brine' }, { step: 'raw-pack' }, { step: 'fill' }],
});

// Common practice: at least as much vinegar of 5 % as water; or a tested ratio, carrots 5 1/2 to 1, so half and half does.
test('as much vinegar as water keeps for months, a spoon less for days', () => {
  const mix = (vinegar: number, water: number) =>
    foodClass(
      brine([
        line('vinegar', cups(vinegar), 'vinegar', 'boil-brine'),
        line('water', cups(water), 'water', 'boil-brine'),
      ]),
    );
  expect(mix(2, 2)).toMatchObject({ foodClass: 'vinegar-pickle', coldDays: [60, 90] });
  expect(mix(2, 2.5)).toMatchObject({ foodClass: 'low-acid', coldDays: [3, 4] });
});

// Quick dills: 6 cups of vinegar to 8 of water, USDA guide 6, as recalled: their own tested ratio holds for cucumbers alone.
test('a tested ratio holds for its own vegetable', () => {
  const weak = [line('vinegar', cups(6), 'vinegar', 'boil-brine'), line('water', cups(8), 'water', 'boil-brine')];
  const cucumbers = brine(weak).ingredients.map((each) =>
    each.item === 'carrots' ? { ...each, crops: ['cucumber-pickling' as const] } : each,
  );
  expect(foodClass({ ...brine(weak), ingredients: cucumbers }).foodClass).toBe('vinegar-pickle');
  expect(foodClass(brine(weak)).foodClass).toBe('low-acid');
});

test('oil ends every class, herbs that are fished out end none', () => {
  const vinegar = line('vinegar', cups(4), 'vinegar', 'boil-brine');
  expect(foodClass(brine([vinegar, line('olive oil', tbsp(2), 'oil', 'boil-brine')])).coldDays).toEqual([3, 4]);
  expect(
    foodClass(brine([vinegar, line('basil', cups(1), 'low-acid', 'boil-brine', { then: 'taken-out' })])).coldDays,
  ).toEqual([60, 90]);
});

test('more water never makes anything stronger, more vinegar never weaker', () => {
  const quantity = fc.double({ min: 0.25, max: 12, noNaN: true });
  fc.assert(
    fc.property(
      quantity,
      quantity,
      quantity,
      quantity,
      fc.constantFrom('vinegar pickle', 'relish', 'salsa'),
      (vinegar, water, more, kg, family) => {
        const acid = {
          vinegarMl: 240 * vinegar,
          lemonMl: 0,
          waterMl: 240 * water,
          lowAcidKg: kg,
          produceKg: kg,
          sugarMl: 0,
          saltMl: 0,
          hasOil: false,
          covers: false,
        };
        const stands = noWeakerThan(acid, family) !== undefined;
        if (!stands) expect(noWeakerThan({ ...acid, waterMl: acid.waterMl + 240 * more }, family)).toBeUndefined();
        if (stands) expect(noWeakerThan({ ...acid, vinegarMl: acid.vinegarMl + 240 * more }, family)).toBeDefined();
        expect(vinegarPart({ ...acid, waterMl: acid.waterMl + 240 * more })).toBeLessThan(vinegarPart(acid));
      },
    ),
    { numRuns: 500 },
  );
});
