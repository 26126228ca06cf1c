import { CARDS, findCard, isOffered } from '@hoddle/core/handbook/cards';
import { recipeFor } from '@hoddle/core/recipe/recipeFor';
import { render, screen, within } from '@testing-library/react-native';
import { EMPTY_HOUSEHOLD } from '@/store/emptyHousehold';
import { useHouseholdStore } from '@/store/householdStore';
import { RecipeSheet } from './RecipeSheet';
import { sheetOf } from './sheetOf';

function household(units: 'us' | 'metric') {
  const state = { ...EMPTY_HOUSEHOLD, household: { ...EMPTY_HOUSEHOLD.household, units } };
  useHouseholdStore.setState({ server: state, state, waiting: [], sync: async () => undefined });
}

function show(id: string, count: number, missing: Parameters<typeof RecipeSheet>[0]['missing'] = []) {
  const card = findCard(id)!;
  const jar = card.yields?.jar ?? 'quart';
  render(<RecipeSheet content={sheetOf(recipeFor(card, { jars: [{ jar, count }] }))} jar={jar} missing={missing} />);
}

// USDA Complete Guide to Home Canning, 2015, guide 6: piccalilli, salt soaked out of it; 4 1/2 cups vinegar to it.
test('what is poured off stands at its step and in no other, with the vinegar it never meets', () => {
  household('us');
  show('bread-and-butter-pickles', 8, [{ crop: 'onion', text: '8 cups onions', massKg: 1.3, stops: false }]);
  const soak = screen.getByLabelText(/poured off$/);
  expect(soak).toHaveTextContent(/1\/2 cup canning salt/);
  expect(within(soak).getByText('Poured off')).toBeTruthy();
  const pot = screen.getByLabelText('Boil 10 min');
  expect(pot).toHaveTextContent(/4 cups vinegar/);
  expect(pot).not.toHaveTextContent(/canning salt|ice/);
  expect(screen.getAllByText('missing')).toHaveLength(1);
});

test('several pots say what each takes; in a metric kitchen the same in litres and grams', () => {
  household('us');
  show('tomato-chile-salsa', 18);
  expect(screen.getByText(/^In \d pots side by side, never in one\./)).toBeTruthy();
  expect(screen.getAllByText(/ in each pot/).length).toBeGreaterThan(2);
  screen.unmount();
  household('metric');
  show('tomato-chile-salsa', 18);
  const pot = screen.getByLabelText('Boil 10 min');
  expect(pot).toHaveTextContent(/\d ml vinegar/);
  expect(pot).not.toHaveTextContent(/\bcups?\b/);
});

test('a covering liquid has two figures, and a dose stands in every jar', () => {
  household('us');
  show('dilled-beans', 8);
  expect(screen.getByText(/^Covering liquid: make .* will likely take .* to .*same mix again/)).toBeTruthy();
  expect(screen.getByLabelText('In every pint')).toBeTruthy();
});

test('every card that is offered can be shown, for one jar and for forty', () => {
  household('us');
  for (const { card } of CARDS.filter(isOffered)) {
    for (const count of [1, 40]) {
      show(card, count);
      expect(screen.getByLabelText('Produce')).toBeTruthy();
      screen.unmount();
    }
  }
});
