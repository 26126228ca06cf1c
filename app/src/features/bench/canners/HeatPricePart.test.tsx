import { fireEvent, render, screen } from '@testing-library/react-native';
import { HeatPricePart } from './HeatPricePart';

test('a price is kept as it is typed, for what it is of; what is no price is said, and the one before stays', () => {
  const kept = jest.fn();
  render(<HeatPricePart price={undefined} onKeep={kept} />);
  fireEvent.changeText(screen.getByLabelText('Price of a kilowatt-hour'), '0,18');
  expect(kept).toHaveBeenLastCalledWith({ of: 'kWh', price: 0.18 });
  fireEvent.press(screen.getByText('a pound of bottled gas'));
  expect(kept).toHaveBeenLastCalledWith({ of: 'lb', price: 0.18 });
  kept.mockClear();
  fireEvent.changeText(screen.getByLabelText('Price of a pound of bottled gas'), 'much');
  expect(screen.getByText(/A price is a number/)).toBeTruthy();
  expect(screen.getByDisplayValue('much')).toBeTruthy();
  expect(kept).not.toHaveBeenCalled();
  fireEvent.changeText(screen.getByLabelText('Price of a pound of bottled gas'), '');
  expect(kept).toHaveBeenLastCalledWith(undefined);
});
