import { fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { NumberPad } from './NumberPad';

function Pad({ told, isWhole }: { told: (value: number) => void; isWhole?: true }) {
  const [value, setValue] = useState(4);
  return (
    <NumberPad
      label="Measured"
      value={value}
      unit="cups"
      step={isWhole ? 1 : 0.5}
      {...(isWhole && { isWhole })}
      onChange={(next) => {
        told(next);
        setValue(next);
      }}
    />
  );
}

const typed = () => screen.getByDisplayValue(/.*/).props.value as string;

test('a measure is pressed or typed as hands write it; what cannot be stays typed and changes nothing', () => {
  const told = jest.fn();
  render(<Pad told={told} />);
  fireEvent.changeText(screen.getByDisplayValue('4'), '5 1/2');
  expect(told).toHaveBeenLastCalledWith(5.5);
  expect(typed()).toBe('5 1/2');
  fireEvent.press(screen.getByRole('button', { name: 'Measured: more' }));
  expect(told).toHaveBeenLastCalledWith(6);
  expect(typed()).toBe('6');
  told.mockClear();
  fireEvent.changeText(screen.getByDisplayValue('6'), 'a few');
  expect(told).not.toHaveBeenCalled();
  expect(typed()).toBe('a few');
  expect(screen.getByRole('alert')).toHaveTextContent('“a few” is not a number.');
});

test('jars are whole', () => {
  const told = jest.fn();
  render(<Pad told={told} isWhole />);
  fireEvent.changeText(screen.getByDisplayValue('4'), '5 1/2');
  expect(told).not.toHaveBeenCalled();
  expect(screen.getByRole('alert')).toHaveTextContent('“5 1/2” is not a whole number.');
});

test('what is measured may be typed in another measure of its kind, and in no other', () => {
  const told = jest.fn();
  render(<NumberPad label="Juice" value={4} unit="cups" step={0.5} of="cup" onChange={told} />);
  fireEvent.changeText(screen.getByDisplayValue('4'), '2 quarts');
  expect(told.mock.lastCall?.[0]).toBeCloseTo(8, 9);
  told.mockClear();
  fireEvent.changeText(screen.getByDisplayValue('2 quarts'), '3 lb');
  expect(told).not.toHaveBeenCalled();
  expect(screen.getByRole('alert')).toHaveTextContent('“3 lb” is not an amount of it.');
});

test.each([
  [3.5, 'cup', '3 1/2'],
  [0.25, undefined, '1/4'],
  [3.3, 'cup', '3.3'],
  [3.5, 'l', '3.5'],
  [0, 'quart', '0'],
] as const)('%d of %s stands there as its measure is marked', (value, of, shown) => {
  render(<NumberPad label="Juice" value={value} unit="" step={0.5} {...(of && { of })} onChange={jest.fn()} />);
  expect(typed()).toBe(shown);
});
