import { fireEvent, render, screen } from '@testing-library/react-native';
import { DamagePart } from './DamagePart';

const press = (name: string) => fireEvent.press(screen.getByRole('button', { name }));

test('a sound file says nothing; a damaged one says what, and is gone on without only when asked twice', () => {
  let gone = 0;
  const part = (health: object) => (
    <DamagePart
      health={{ setAside: 0, writesLost: 0, file: 'ok', ...health }}
      busy={false}
      onGoOn={() => (gone += 1)}
    />
  );
  render(part({}));
  expect(screen.toJSON()).toBeNull();
  screen.rerender(part({ setAside: 1, writesLost: 4 }));
  expect(screen.getByText(/1 thing .* is left out; the last 4 writes/)).toBeTruthy();
  press('Go on without it');
  expect(gone).toBe(0);
  press('Leave it');
  press('Go on without it');
  press('Go on without it');
  expect(gone).toBe(1);
  // Into a file that takes nothing nothing can be put.
  screen.rerender(part({ setAside: 2, file: 'damaged' }));
  expect(screen.queryByRole('button', { name: 'Go on without it' })).toBeNull();
  expect(screen.getByText(/2 things .* are left out; the file cannot be written now/)).toBeTruthy();
});
