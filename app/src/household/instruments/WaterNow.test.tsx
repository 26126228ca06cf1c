import { act, render, screen } from '@testing-library/react-native';
import { EMPTY_HOUSEHOLD } from '@/store/emptyHousehold';
import { useHouseholdStore } from '@/store/householdStore';
import { useInstrumentStore } from '@/store/instrumentStore';
import { WaterNow } from './WaterNow';

const probe = (id: string, name: string, value: number) => ({
  ...{ id, name, kind: 'probe' as const, step: 0.1, isLost: false, sharesName: false, setAside: {} },
  last: { at: 1, value },
});

test('of two probes in one pot each is read and each call is told: what one says hides nothing of the other', () => {
  const instruments = {
    places: ['a', 'b'].map((id) => ({ id, name: id, place: { at: 'canner' as const, cannerId: 'pot' } })),
    ...{ containers: [], startsClock: 'tap' as const },
  };
  const state = { ...EMPTY_HOUSEHOLD, household: { ...EMPTY_HOUSEHOLD.household, instruments } };
  useHouseholdStore.setState({ server: state, state });
  const call = { loadId: 'l', instrument: 'a', kind: 'water-ready' as const, since: 1, reads: 141 };
  const told = { instruments: [probe('a', 'Blue', 141), probe('b', 'Red', 171)], warm: [] };
  useInstrumentStore.setState({ ...told, calls: [] }, true);
  const { rerender } = render(<WaterNow loadId="l" cannerId="pot" method="boiling-water" />);
  expect(screen.getByText('Blue: 141 F')).toBeTruthy();
  expect(screen.getByText('Red: 171 F')).toBeTruthy();
  expect(screen.getByText('Not warm enough for jars yet.')).toBeTruthy();
  const other = { ...call, instrument: 'b', kind: 'too-hot' as const, reads: 171 };
  act(() => useInstrumentStore.setState({ ...told, calls: [call, other, { ...call, loadId: 'another' }] }, true));
  rerender(<WaterNow loadId="l" cannerId="pot" method="boiling-water" />);
  expect(screen.getAllByText('The water is warm enough: jars may go in.')).toHaveLength(1);
  expect(screen.getByText('171 F: too hot for these jars. Cold water first.')).toBeTruthy();
});
