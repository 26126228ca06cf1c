import { type ProduceId, produceRow } from '@hoddle/core/handbook/produce';
import { onHand } from '@hoddle/core/harvest/onHand';
import { type Pick } from '@hoddle/core/harvest/pick';
import { render, screen } from '@testing-library/react-native';
import { byCrop } from '@/household/harvest/useOnHand';
import { EMPTY_HOUSEHOLD } from '@/store/emptyHousehold';
import { useHouseholdStore } from '@/store/householdStore';
import { OnHandPart } from './OnHandPart';

jest.mock('expo-router', () => ({ Link: ({ children }: { children: unknown }) => children, useRouter: () => ({}) }));

const NOW = new Date(2026, 7, 29, 8).getTime();
const DAY = 24 * 60 * 60_000;

beforeEach(() => useHouseholdStore.setState({ server: EMPTY_HOUSEHOLD, state: EMPTY_HOUSEHOLD }));

const pickOf = (crop: ProduceId, daysAgo: number, softKg = 0): Pick => ({
  ...{ id: `${crop} ${daysAgo}`, crop, massKg: 4, softKg, ripeness: 'ripe', place: 'cool', told: '' },
  ...{ pickedAt: NOW - daysAgo * DAY, source: 'garden', plantingId: null },
});

const shown = (picks: readonly Pick[]) => {
  render(<OnHandPart crops={byCrop(onHand(picks, []))} now={NOW} />);
  return (name: RegExp) => screen.queryAllByLabelText(name).length > 0;
};

test('every crop on hand is there with its weight, the due first, and beyond a few folded to the lot that is due first', () => {
  const is = shown([
    ...(['apple', 'pear', 'beet', 'carrot', 'cabbage'] as const).map((crop) => pickOf(crop, 0)),
    pickOf('tomato-paste', 1, 2),
    pickOf('tomato-paste', 3),
  ]);
  // Open: each of its lots.
  expect(is(/^Paste tomatoes, .* soft, .*, .*\. See what it makes\.$/)).toBe(true);
  expect(screen.getByLabelText('On hand besides')).toBeTruthy();
  for (const crop of ['apple', 'pear', 'beet', 'carrot', 'cabbage'] as const) {
    const { name } = produceRow(crop);
    expect([name, is(new RegExp(`^${name}, 8 3/4 lb`))]).toEqual([name, true]);
  }
});

test('a fourth crop is not folded away alone, and what is due within a day never is', () => {
  shown((['apple', 'pear', 'beet', 'carrot'] as const).map((crop) => pickOf(crop, 0)));
  expect(screen.queryByLabelText('On hand besides')).toBeNull();
  screen.unmount();
  const due = (['strawberry', 'raspberry', 'blackberry', 'blueberry'] as const).map((crop) => pickOf(crop, 0, 4));
  shown([...due, ...(['apple', 'beet'] as const).map((crop) => pickOf(crop, 0))]);
  const folded = screen.getByLabelText('On hand besides');
  expect(folded.findAll(({ props }) => /berries/.test(String(props['aria-label'] ?? '')))).toEqual([]);
});
