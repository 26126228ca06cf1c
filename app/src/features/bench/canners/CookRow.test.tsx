import { type Kitchen } from '@hoddle/contract/household';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { CookRow } from './CookRow';

type Cook = Kitchen['cooks'][number];
let kept: Cook;
let gone = 0;

function Kept() {
  const [cook, setCook] = useState<Cook>({ name: 'Helper', fromMin: 9 * 60, toMin: 21 * 60, breaks: [] });
  const keep = (next: Cook) => {
    kept = next;
    setCook(next);
  };
  return <CookRow cook={cook} onKeep={keep} onGone={() => (gone += 1)} />;
}
const press = (name: string | RegExp) => fireEvent.press(screen.getByRole('button', { name }));
const hours = () => kept.breaks.map(({ fromMin, toMin }) => [fromMin / 60, toMin / 60]);

beforeEach(() => {
  gone = 0;
  render(<Kept />);
});

test('a break stands once, is moved, struck out and brought back', () => {
  press(/chores at 5 pm/);
  press(/chores at 5 pm/);
  expect(hours()).toEqual([[17, 18]]);
  press(/break at 5 pm ends: one more/);
  // Dinner at 6:30 is not in the way of chores to 6:30, and begins after them where they last longer.
  press(/break at 5 pm ends: one more/);
  press(/dinner at 6:30 pm/);
  expect(hours()).toEqual([
    [17, 19],
    [19, 20],
  ]);
  press('Strike out the break at 5 pm');
  expect(hours()).toEqual([[19, 20]]);
  press('Bring back the break at 5 pm');
  expect(hours()).toEqual([
    [17, 19],
    [19, 20],
  ]);
  fireEvent.press(screen.getAllByRole('checkbox', { name: /at home/ })[0] as never);
  expect(kept.breaks[0]?.atHome).toBe(true);
});

test('a break may be shorter than the time there is for it, and is for the weekdays it is told for', () => {
  press(/chores at 5 pm/);
  press(/break at 5 pm ends: one more/);
  press(/break at 5 pm takes: one less/);
  for (const day of ['Sun', 'Tue']) fireEvent.press(screen.getByRole('checkbox', { name: day }));
  expect(kept.breaks).toEqual([
    { fromMin: 1_020, toMin: 1_110, minutes: 80, atHome: false, words: 'Chores', weekdays: [1, 3, 4, 5, 6] },
  ]);
  fireEvent.press(screen.getByRole('checkbox', { name: 'Sun' }));
  fireEvent.press(screen.getByRole('checkbox', { name: 'Tue' }));
  press(/break at 5 pm takes: one more/);
  expect(kept.breaks).toEqual([{ fromMin: 1_020, toMin: 1_110, atHome: false, words: 'Chores' }]);
});

test('nobody is taken out of the kitchen by one tap', () => {
  press('Helper is not here any more');
  expect(gone).toBe(0);
  press('Keep');
  expect(screen.queryByRole('alert')).toBeNull();
  press('Helper is not here any more');
  press('Take out');
  expect(gone).toBe(1);
});
