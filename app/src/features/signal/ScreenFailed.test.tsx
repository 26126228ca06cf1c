import { render, screen } from '@testing-library/react-native';
import { type ReactNode } from 'react';
import { ScreenFailed } from './ScreenFailed';

jest.mock('@/ui/Screen', () => {
  const { Words } = jest.requireActual('@/ui/Words');
  return {
    Screen: ({ title, children }: { title: string; children: ReactNode }) => [<Words key="t">{title}</Words>, children],
  };
});
jest.mock('expo-router', () => ({ usePathname: () => '/shelf' }));
jest.mock('@/store/reportError', () => ({ reportError: jest.fn() }));
const { reportError } = jest.requireMock<{ reportError: jest.Mock }>('@/store/reportError');

test('a screen whose file did not come is no fault of the screen: only one that broke is told to the log', () => {
  const missing = Object.assign(new Error('Loading module /_expo/shelf.js failed.'), { name: 'AsyncRequireError' });
  const { rerender } = render(<ScreenFailed error={missing} retry={jest.fn()} />);
  expect(screen.getByText('Not on this device yet')).toBeTruthy();
  expect(reportError).not.toHaveBeenCalled();
  rerender(<ScreenFailed error={new TypeError('no such jar')} retry={jest.fn()} />);
  expect(screen.getByText('This screen broke')).toBeTruthy();
  expect(reportError).toHaveBeenCalledTimes(1);
});
