import { fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { CountStepper } from './CountStepper';

function Jars({ told, most = 40 }: { told: (count: number) => void; most?: number }) {
  const [count, setCount] = useState<number | undefined>(7);
  return (
    <CountStepper
      label="Jars"
      count={count}
      of="pints"
      least={1}
      most={most}
      mostWhy="so many stand there"
      onCount={(next) => {
        told(next);
        setCount(next);
      }}
    />
  );
}

const typed = () => screen.getByDisplayValue(/.*/).props.value as string;

test('a count is stepped or typed; what cannot be stays typed, is told, and changes nothing', () => {
  const told = jest.fn();
  render(<Jars told={told} />);
  const input = screen.getByDisplayValue('7');
  fireEvent.changeText(input, '19');
  expect(told).toHaveBeenLastCalledWith(19);
  fireEvent.press(screen.getByRole('button', { name: 'Jars: one less' }));
  expect(told).toHaveBeenLastCalledWith(18);
  expect(typed()).toBe('18');

  told.mockClear();
  for (const [text, sentence] of [
    ['41', 'No more than 40: so many stand there.'],
    ['0', 'No fewer than 1.'],
    ['1 1/2', '“1 1/2” is not a whole number.'],
    ['a dozen', '“a dozen” is not a whole number.'],
  ] as const) {
    fireEvent.changeText(input, text);
    fireEvent(input, 'blur');
    expect(screen.getByRole('alert').props.children).toBe(sentence);
    expect(typed()).toBe(text);
  }
  expect(told).not.toHaveBeenCalled();

  // Emptied for the next number is no slip; left empty the count is as it was.
  fireEvent.changeText(input, '');
  expect(screen.queryByRole('alert')).toBeNull();
  fireEvent(input, 'blur');
  expect(typed()).toBe('18');
});
