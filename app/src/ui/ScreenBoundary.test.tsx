import { fireEvent, render, screen } from '@testing-library/react-native';
import { Words } from './Words';
import { ScreenBoundary } from './ScreenBoundary';

jest.mock('@/store/reportError', () => ({ reportError: jest.fn() }));
const { reportError } = jest.requireMock<{ reportError: jest.Mock }>('@/store/reportError');

test('what breaks says so in its place and is told to the log; tried again it may work', () => {
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
  let broken = true;
  const Part = () => {
    if (broken) throw new TypeError('no such jar');
    return <Words>Seven quarts</Words>;
  };
  render(
    <ScreenBoundary>
      <Part />
    </ScreenBoundary>,
  );
  expect(screen.getByText(/What was entered is kept/)).toBeTruthy();
  expect(reportError).toHaveBeenCalledWith(expect.objectContaining({ message: 'no such jar' }));
  broken = false;
  fireEvent.press(screen.getByRole('button', { name: 'Try again' }));
  expect(screen.getByText('Seven quarts')).toBeTruthy();
});
