import { findCard } from '@hoddle/core/handbook/cards';
import { measureGate } from '@hoddle/core/supplies/measureGate';
import { render, screen } from '@testing-library/react-native';
import { EMPTY_HOUSEHOLD } from '@/store/emptyHousehold';
import { useHouseholdStore } from '@/store/householdStore';
import { GateAmounts } from './GateAmounts';

type Units = 'us' | 'metric';

function shown(card: string, amount: number, units: Units = 'us') {
  const state = { ...EMPTY_HOUSEHOLD, household: { ...EMPTY_HOUSEHOLD.household, units } };
  useHouseholdStore.setState({ server: state, state, waiting: [], sync: async () => undefined });
  const gate = measureGate(findCard(card)!, amount);
  if (gate?.kind !== 'make') throw new Error('nothing is made of it');
  render(<GateAmounts gate={gate} jars="9 half-pints" planned={9} unit="cups" />);
}

// The National Center, strawberry jam: 5 1/2 cups crushed, 8 cups of sugar and one box to a batch.
test('each pot is told its own amounts, and what stays over in its number', () => {
  shown('jam-with-pectin/strawberry', 12);
  expect(screen.getByText('Into each of 2 pots, side by side')).toBeTruthy();
  expect(screen.getByText('8 cups')).toBeTruthy();
  expect(screen.getByText('1 box')).toBeTruthy();
  expect(screen.getByText(/^1 cup stays over: it goes into the refrigerator/)).toBeTruthy();
});

test('more than one is several, and a whole batch leaves nothing', () => {
  shown('jam-with-pectin/strawberry', 7.5);
  expect(screen.getByText('Into the pot')).toBeTruthy();
  expect(screen.getByText(/^2 cups stay over: they go into the refrigerator/)).toBeTruthy();
  screen.unmount();
  shown('jam-with-pectin/strawberry', 5.5);
  expect(screen.queryByText(/over/)).toBeNull();
});

test('in a metric kitchen sugar is poured by the litre, and the box stays a box', () => {
  shown('jam-with-pectin/strawberry', 5.5, 'metric');
  expect(screen.getByText('1.89 l')).toBeTruthy();
  expect(screen.getByText('1 box')).toBeTruthy();
});
