import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { EMPTY_HOUSEHOLD } from '@/store/emptyHousehold';
import { useHouseholdStore } from '@/store/householdStore';
import { useInstrumentStore } from '@/store/instrumentStore';
import { ScalePart } from './ScalePart';

const GRAMS_PER_LB = 453.592_37;

/** What the scale at the door shows, and whether it lies still. */
function scaleShows(grams: number, isStill = true, units: 'us' | 'metric' = 'us') {
  const containers = [{ id: 'c', name: 'Peck basket', grams: 2.2 * GRAMS_PER_LB }];
  const household = {
    ...EMPTY_HOUSEHOLD.household,
    units,
    instruments: { places: [], containers, startsClock: 'tap' as const },
  };
  const state = { ...EMPTY_HOUSEHOLD, household };
  useHouseholdStore.setState({ server: state, state });
  useInstrumentStore.setState(
    {
      instruments: [
        {
          ...{ id: 's', name: 'Scale at the door', kind: 'hanging-scale', step: 0.05 * GRAMS_PER_LB },
          ...{ isLost: false, sharesName: false, setAside: {}, last: { at: 1, value: grams } },
          ...(isStill && { still: { at: 1, grams } }),
        },
      ],
      calls: [],
      warm: [],
    },
    true,
  );
}

test('nothing is to be seen without a scale; with one the basket is known, what moves is not taken, and what lies still is', () => {
  const weighed: number[] = [];
  useHouseholdStore.setState({ server: EMPTY_HOUSEHOLD, state: EMPTY_HOUSEHOLD });
  const { rerender } = render(<ScalePart first="hanging-scale" onWeighed={(grams) => weighed.push(grams)} />);
  expect(screen.queryByRole('button')).toBeNull();
  act(() => scaleShows(0));
  fireEvent.press(screen.getByRole('button', { name: 'Weigh it: Scale at the door' }));
  act(() => scaleShows(2.2 * GRAMS_PER_LB));
  expect(screen.getByText('Peck basket, empty: taken off')).toBeTruthy();
  act(() => scaleShows(9 * GRAMS_PER_LB, false));
  expect(screen.getByText('moves')).toBeTruthy();
  expect(weighed).toEqual([]);
  act(() => scaleShows(14.55 * GRAMS_PER_LB));
  expect(screen.getByText('12.35 lb')).toBeTruthy();
  // Once, however often it is drawn.
  rerender(<ScalePart first="hanging-scale" onWeighed={(grams) => weighed.push(grams)} />);
  expect(weighed.map((grams) => grams / GRAMS_PER_LB)).toEqual([expect.closeTo(12.35, 6)]);
});

test('what weighs as much as a basket and is none is said so; in a metric kitchen it is kilograms; a target is said and drawn', () => {
  act(() => scaleShows(0));
  render(<ScalePart first="kitchen-scale" what="sugar" target={2_000} />);
  fireEvent.press(screen.getByRole('button', { name: 'Weigh sugar: Scale at the door' }));
  act(() => scaleShows(2.2 * GRAMS_PER_LB, true, 'metric'));
  fireEvent.press(screen.getByRole('button', { name: 'It is no container' }));
  expect(screen.getByText(/^1 kg$|^0\.998 kg$|^1\.0 kg$/)).toBeTruthy();
  expect(screen.getByText(/ more, of 2 kg$/)).toBeTruthy();
  act(() => scaleShows(2_010, true, 'metric'));
  expect(screen.getByText(/^That is it, of 2 kg$/)).toBeTruthy();
});
