import { type DayTask } from '@hoddle/core/day/dayProblem';
import { type Batch } from '@hoddle/core/day/batch';
import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { readIngredientLine } from '@hoddle/core/recipe/ingredientLine';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { EMPTY_HOUSEHOLD } from '@/store/emptyHousehold';
import { useHouseholdStore } from '@/store/householdStore';
import { RanShort } from './RanShort';
import { StepAmounts } from './StepAmounts';

const KG_PER_LB = 0.453_592_37;

beforeEach(() => {
  const state = { ...EMPTY_HOUSEHOLD, household: { ...EMPTY_HOUSEHOLD.household, altitudeFt: 500 } };
  useHouseholdStore.setState({ server: state, state, waiting: [], sync: async () => undefined });
});

function batchOf(
  product: Batch['product'],
  recipe: string,
  loads: number[],
  pounds: [HarvestPick['crop'], number][],
): Batch {
  return {
    ...{ id: 'b', product, recipe, jar: 'pint', pack: 'hot', method: 'boiling-water', altitudeFt: 500 },
    ...{ processMinutes: 15, cannerId: 'c', startAt: 0 },
    uses: pounds.map(([crop, lb], i) => ({ pickId: `p${i}`, crop, massKg: lb * KG_PER_LB, softKg: 0 })),
    loads: loads.map((jars, i) => ({ id: `l${i}`, number: i + 1, jars })),
  };
}
const taskOf = (entry: string, more: Partial<DayTask> = {}) =>
  ({ id: `${entry} l0`, entry: entry.split(':')[0], kind: 'prepare', loadId: 'l0', batchId: 'b', ...more }) as DayTask;

// USDA Complete Guide to Home Canning, 2015, guide 3: 5 lb tomatoes, 2 lb chiles, 1 lb onions, 1 cup vinegar; 6 to 8 pints.
const salsa = batchOf(
  'tomato-chile-salsa',
  'tomato-chile-salsa',
  [15],
  [
    ['tomato-slicing', 10],
    ['pepper-hot', 4],
    ['onion', 2],
  ],
);

test('what goes in is told for this pot, one pot after the other, and each is ticked anew', () => {
  render(<StepAmounts task={taskOf('boil-10')} batch={salsa} />);
  expect(screen.getByText('Pot 1 of 2')).toBeTruthy();
  const vinegar = () => screen.getByRole('checkbox', { name: /^1 cup vinegar 5%: in$/ });
  fireEvent.press(vinegar());
  expect(vinegar()).toBeChecked();
  fireEvent.press(screen.getByRole('button', { name: 'Next pot' }));
  expect(screen.getByText('Pot 2 of 2')).toBeTruthy();
  expect(vinegar()).not.toBeChecked();
  fireEvent.press(screen.getByRole('button', { name: 'First pot again' }));
  expect(screen.getByText('Pot 1 of 2')).toBeTruthy();
});

test.each([
  ['chop:onion', /^2 lb onions/],
  ['chop:pepper-hot', /^4 lb chile peppers/],
])('%s works on its own crop and no other', (entry, own) => {
  render(<StepAmounts task={taskOf(entry)} batch={salsa} />);
  const [row, ...others] = screen.getAllByRole('checkbox');
  expect(row).toHaveAccessibleName(own);
  expect(others).toEqual([]);
});

// The same, guide 6: dilled beans, as much water as vinegar, 1/2 cup salt to 4 cups of each.
test('what runs short is mixed again in the same proportions, for as many jars as are dry', () => {
  const beans = batchOf('dilled-beans', 'dilled-beans', [8], [['bean-snap', 4]]);
  render(<RanShort task={taskOf('raw-pack')} batch={beans} />);
  fireEvent.press(screen.getByRole('button', { name: 'The liquid runs short' }));
  const more = () => fireEvent.press(screen.getByRole('button', { name: /: more$/ }));
  for (const dry of [1, 2, 3, 4, 5, 6, 7, 8]) {
    expect(screen.getByText(`The same mix for ${dry} ${dry === 1 ? 'pint' : 'pints'}; never more water`)).toBeTruthy();
    const of = (item: string) =>
      mlOf(new RegExp(`([\\d/]+(?: [\\d/]+)? (?:cups?|Tbsp|tsp)(?: \\+ [\\d/ ]+ (?:Tbsp|tsp))*) ${item}`));
    expect(of('water')).toBeCloseTo(of('white vinegar 5%'), 1);
    expect(of('canning salt') / of('white vinegar 5%')).toBeCloseTo(1 / 8, 1);
    more();
  }
  // No more jars can be dry than the load has.
  expect(screen.getByText('The same mix for 8 pints; never more water')).toBeTruthy();
});

/** Millilitres of what the screen says, read by the reader of written lines. */
function mlOf(words: RegExp): number {
  const texts: string[] = [];
  const walk = (node: unknown): void => {
    if (typeof node === 'string') texts.push(node);
    else if (Array.isArray(node)) node.forEach(walk);
    else if (node && typeof node === 'object' && 'children' in node) walk(node.children);
  };
  walk(screen.toJSON());
  const [, said = ''] = words.exec(texts.join(' ').replace(/\s+/g, ' ')) ?? [];
  return readIngredientLine(`${said} water`).amount?.high ?? NaN;
}

test('nothing runs short where no liquid is poured over the jars', () => {
  render(<RanShort task={taskOf('fill')} batch={salsa} />);
  expect(screen.queryByRole('button')).toBeNull();
});

// The National Center: a box of pectin with 5 1/2 cups of strawberries gives 9 to 10 half-pints, whatever the canner holds.
test('a pot that fills two loads is boiled once: for the second nothing more goes in', () => {
  const jam = {
    ...batchOf('jam-with-pectin', 'jam-with-pectin/strawberry', [7, 2], [['strawberry', 5]]),
    jar: 'half-pint',
  };
  const { rerender } = render(<StepAmounts task={taskOf('add-sugar')} batch={jam as Batch} />);
  expect(screen.getByRole('checkbox', { name: /^8 cups sugar: in$/ })).toBeTruthy();
  rerender(<StepAmounts task={taskOf('add-sugar', { loadId: 'l1' })} batch={jam as Batch} />);
  expect(screen.queryByRole('checkbox')).toBeNull();
  expect(screen.getByText(/filled from the pot before/)).toBeTruthy();
});

// USDA Complete Guide to Home Canning, 2015, guide 6: 6 lb cucumbers, 1/2 cup of salt for the soak, about 8 pints.
test('what soaks for two loads at once is weighed out together, not by the pots that come later', () => {
  const pickles = batchOf(
    'bread-and-butter-pickles',
    'bread-and-butter-pickles',
    [9, 7],
    [
      ['cucumber-pickling', 12],
      ['onion', 6],
    ],
  );
  const { loadId: _, ...shared } = taskOf('salt-ice-3h');
  render(<StepAmounts task={shared as DayTask} batch={pickles} />);
  expect(screen.queryByText(/^Pot 1/)).toBeNull();
  // Twice the page's half cup, for twice its pounds, to a kitchen's measures.
  expect(
    screen.getByRole('checkbox', { name: /^(1 cup|3\/4 cup \+ \d+ Tbsp) canning salt, poured off again: in$/ }),
  ).toBeTruthy();
});
