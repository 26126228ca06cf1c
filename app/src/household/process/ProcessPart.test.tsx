import { render, screen } from '@testing-library/react-native';
import { findTestedRow } from '@hoddle/core/process/findProcess';
import { ProcessPart } from './ProcessPart';

jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: jest.fn() }) }));

const row = findTestedRow({ product: 'tomatoes-crushed', pack: 'hot', jar: 'quart', method: 'boiling-water' });
if (row.kind === 'refusal') throw new Error(row.reason);

// USDA Complete Guide to Home Canning, 2015, guide 3: crushed tomatoes in quarts, 45 / 50 / 55 / 60 min by band.
test('without an altitude the whole strip is shown and no single number', () => {
  render(<ProcessPart row={row} altitudeFt={null} />);
  expect(
    screen.getByLabelText(/to 1,000 ft: 45 min; .*3,000 ft: 50 min; .*6,000 ft: 55 min; above 6,000 ft: 60 min$/),
  ).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Set the altitude' })).toBeTruthy();
  expect(screen.queryByText('at the boil')).toBeNull();
});

test('with one, its minutes stand large with the source as recalled', () => {
  render(<ProcessPart row={row} altitudeFt={3_420} />);
  expect(screen.getByLabelText(/3,001 to 6,000 ft: 55 min, yours/)).toBeTruthy();
  expect(screen.getByText(/guide 3, as recalled/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Set the altitude' })).toBeNull();
});
