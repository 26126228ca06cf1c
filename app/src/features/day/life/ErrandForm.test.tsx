import { fireEvent, render, screen } from '@testing-library/react-native';
import { type ErrandDraft, ErrandForm } from './ErrandForm';
import { awayWords, errandFault, errandName, errandTimeWords, weekdayWords } from '@/household/day/errandWords';

const press = (name: string) => fireEvent.press(screen.getByRole('button', { name }));
const kept: { errand: ErrandDraft; weekdays: readonly number[] }[] = [];

beforeEach(() => {
  kept.length = 0;
  render(
    <ErrandForm
      title="Something else to do"
      cooks={['Ann', 'Ben']}
      mayRepeat
      onKeep={(errand, weekdays) => kept.push({ errand, weekdays })}
      onLeave={() => undefined}
    />,
  );
});

test('what is told is what is kept: who, how long, between when and when', () => {
  fireEvent.changeText(screen.getByLabelText('What'), '  Feed store ');
  fireEvent.press(screen.getByRole('radio', { name: 'Ben' }));
  press('How long: one less');
  press('Not before: one more');
  press('Put it into the day');
  const errand = { words: 'Feed store', cook: 'Ben', minutes: 70, fromMin: 870, toMin: 1_020, atHome: false };
  expect(kept).toEqual([{ errand, weekdays: [] }]);
});

test('what takes all of its time says no minutes', () => {
  for (let n = 0; n < 3; n++) press('Back by: one less');
  press('How long: one more');
  press('Put it into the day');
  const errand = { words: 'Town', cook: 'Ann', fromMin: 840, toMin: 930, atHome: false };
  expect(kept).toEqual([{ errand, weekdays: [] }]);
});

test('what cannot be is said and not kept, and what was typed stays', () => {
  for (let n = 0; n < 4; n++) press('Back by: one less');
  expect(screen.getByRole('alert')).toHaveTextContent('From 2 pm to 3 pm is 1 h, and it takes 1 h 20 min.');
  press('Put it into the day');
  fireEvent.changeText(screen.getByLabelText('What'), ' ');
  press('Back by: one more');
  expect(screen.getByRole('alert')).toHaveTextContent('Say what it is.');
  press('Put it into the day');
  expect(kept).toEqual([]);
});

test('a usual one is one tap, on some weekdays another', () => {
  fireEvent.press(screen.getByRole('radio', { name: 'Milking' }));
  fireEvent.press(screen.getByRole('checkbox', { name: 'Mon' }));
  fireEvent.press(screen.getByRole('checkbox', { name: 'Sun' }));
  press('Put it into the day');
  expect(kept).toMatchObject([{ errand: { words: 'Milking', minutes: 60, cook: 'Ann' }, weekdays: [1, 0] }]);
});

test('an errand in words', () => {
  const town = { id: 'a', cook: 'Ann', words: 'Town', fromMin: 840, toMin: 1_020, minutes: 80, atHome: false };
  expect([errandName(town), errandTimeWords(town)]).toEqual(['Town, 1 h 20 min', 'any time 2 pm to 5 pm']);
  expect(errandTimeWords({ ...town, minutes: undefined })).toBe('2 pm to 5 pm');
  expect([awayWords(town, 1), awayWords(town, 2)]).toEqual(['Ann, away: nothing is lit meanwhile', 'Ann, away']);
  expect(errandName({ ...town, words: undefined, minutes: undefined })).toBe('Away, 3 h');
  expect([weekdayWords(undefined), weekdayWords([6, 0])]).toEqual(['every day', 'Sun, Sat']);
  expect(errandFault({ fromMin: 600, toMin: 600 })).toBe('It must be over after it begins.');
});
