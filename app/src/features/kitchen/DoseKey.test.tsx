import { type Batch } from '@hoddle/core/day/batch';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { DoseKey } from './DoseKey';

const onDone = jest.fn();
beforeEach(() => onDone.mockClear());

function show(product: Batch['product'], jar: Batch['jar']) {
  const batch = { id: 'b', product, jar, uses: [], loads: [{ id: 'l', number: 1, jars: 7 }] } as unknown as Batch;
  render(<DoseKey batch={batch} onDone={onDone} />);
}
const more = (times: number) => {
  for (let i = 0; i < times; i++) fireEvent.press(screen.getByRole('button', { name: /: more$/ }));
};
const choose = (name: string) => fireEvent.press(screen.getByRole('radio', { name }));

// USDA Complete Guide to Home Canning, 2015, guide 3: a quart of tomatoes takes 2 Tbsp of bottled lemon juice, 1/2 tsp of
// citric acid or 4 Tbsp of vinegar; a pint half of each. Guide 2: figs no vinegar.
test.each([
  ['tomatoes-crushed', 'quart', [], 2, '2 Tbsp'],
  ['tomatoes-crushed', 'quart', ['Vinegar 5 %'], 4, '4 Tbsp'],
  ['tomatoes-crushed', 'quart', ['Citric acid'], 2, '1/2 tsp'],
  ['tomatoes-crushed', 'quart', ['Bottled lemon', 'teaspoons'], 6, '6 tsp'],
  ['tomatoes-crushed', 'pint', [], 1, '1 Tbsp'],
  ['figs', 'quart', [], 2, '2 Tbsp'],
  ['asian-pears', 'pint', [], 1, '1 Tbsp'],
] as const)('%s in a %s, %s: one press short is not enough, %i are', (product, jar, chosen, presses, said) => {
  show(product, jar);
  chosen.forEach(choose);
  more(presses - 1);
  fireEvent.press(screen.getByRole('button', { name: /^Spoons in every/ }));
  expect(onDone).not.toHaveBeenCalled();
  if (presses > 1) expect(screen.getByRole('alert')).toHaveTextContent(/^Too little: .*botulism/);
  more(1);
  expect(screen.queryByRole('alert')).toBeNull();
  fireEvent.press(screen.getByRole('button', { name: `Every ${jar} has ${said}` }));
  expect(onDone).toHaveBeenCalledTimes(1);
});

test('only acids that are printed for it can be chosen, and food without a dose is simply done', () => {
  show('asian-pears', 'quart');
  expect(screen.getAllByRole('radio').map((radio) => radio.props['aria-label'] ?? radio)).toHaveLength(3);
  expect(screen.queryByRole('radio', { name: 'Citric acid' })).toBeNull();
  screen.unmount();
  show('tomato-chile-salsa', 'pint');
  fireEvent.press(screen.getByRole('button', { name: 'Done' }));
  expect(onDone).toHaveBeenCalledTimes(1);
});
