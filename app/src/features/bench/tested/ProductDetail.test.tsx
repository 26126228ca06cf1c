import { productRow } from '@hoddle/core/handbook/products';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { EMPTY_HOUSEHOLD } from '@/store/emptyHousehold';
import { useHouseholdStore } from '@/store/householdStore';
import { ProductDetail } from './ProductDetail';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: mockNavigate }) }));

/** A household at an altitude, without a server. */
function household(altitudeFt: number | null) {
  const state = { ...EMPTY_HOUSEHOLD, household: { ...EMPTY_HOUSEHOLD.household, altitudeFt } };
  useHouseholdStore.setState({ server: state, state, waiting: [], sync: async () => undefined });
}

const show = (product: string) => render(<ProductDetail product={productRow(product)} />);
const choose = (name: RegExp) => fireEvent.press(screen.getByRole('radio', { name }));

// USDA Complete Guide to Home Canning, 2015, guides 3 and 4, at 3,001 to 6,000 ft and by dial at 2,001 to 4,000 ft.
test('what is chosen changes the answer at once: minutes, refusal, way out', () => {
  household(3_420);
  show('tomatoes-crushed');
  expect(screen.getByText(/Tested time/)).toBeTruthy();
  expect(screen.getByLabelText(/3,001 to 6,000 ft: 55 min, yours/)).toBeTruthy();
  choose(/^pints/);
  expect(screen.getByLabelText(/3,001 to 6,000 ft: 45 min, yours/)).toBeTruthy();
  choose(/^steam/);
  expect(screen.getByLabelText(/3,001 to 6,000 ft: 45 min, yours/)).toBeTruthy();
  choose(/^quarts/);
  expect(screen.getByText(/Steam stops at 45 min/)).toBeTruthy();
  fireEvent.press(screen.getByRole('button', { name: /Boiling water/ }));
  expect(screen.getByLabelText(/3,001 to 6,000 ft: 55 min, yours/)).toBeTruthy();
  choose(/^pressure, weight/);
  expect(screen.getByText('at 15 psi')).toBeTruthy();
});

test('without an altitude there is the strip and no single number; its page can be checked all the same', () => {
  household(null);
  show('snap-beans');
  expect(screen.getByLabelText(/to 2,000 ft: 25 min at 11 psi; .*above 8,000 ft: not tested$/)).toBeTruthy();
  expect(screen.queryByText(/^at \d+ psi$/)).toBeNull();
  expect(screen.getByRole('button', { name: 'I checked it' })).toBeTruthy();
});

test('a mark is entered with the household’s day, and taken back again', () => {
  household(500);
  jest.useFakeTimers({ now: new Date(2026, 7, 29, 12) });
  show('plums');
  fireEvent.press(screen.getByRole('button', { name: 'I checked it' }));
  expect(screen.getByText('Checked 29 Aug 2026')).toBeTruthy();
  expect(useHouseholdStore.getState().waiting.map(({ write }) => write)).toEqual([
    { kind: 'row-checked', check: { rowId: expect.stringContaining('plums'), checkedOn: '2026-08-29' } },
  ]);
  fireEvent.press(screen.getByRole('button', { name: 'Take the mark back' }));
  expect(screen.getByRole('button', { name: 'I checked it' })).toBeTruthy();
  jest.useRealTimers();
});

test('a page of the household’s own begins with what was being looked at', () => {
  household(3_420);
  show('tomato-taco-sauce');
  choose(/^quarts/);
  fireEvent.press(screen.getByRole('button', { name: 'Add a tested page of our own' }));
  expect(mockNavigate).toHaveBeenCalledWith({
    pathname: '/bench/sources/new',
    params: { product: 'tomato-taco-sauce', jar: 'quart', pack: 'hot', method: 'boiling-water' },
  });
});
