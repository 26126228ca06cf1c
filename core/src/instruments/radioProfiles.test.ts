import { readTemperature, readWeight } from './radioProfiles';

const bytes = (...told: number[]) => new DataView(Uint8Array.from(told).buffer);

// Bluetooth SIG Health Thermometer Service 1.0 prints 36.4 C as FF 00 01 6C; Weight Scale Service 1.0: steps of 0.005 kg and 0.01 lb.
test('weights and temperatures of the standard radio profiles are read as they are printed, and what is no number is none', () => {
  expect(readTemperature(bytes(0x00, 0x6c, 0x01, 0x00, 0xff))).toEqual({ unit: 'C', value: expect.closeTo(36.4, 9) });
  expect(readTemperature(bytes(0x01, 0xfe, 0xff, 0xff, 0x00))).toEqual({ unit: 'F', value: -2 });
  expect(readTemperature(bytes(0x00, 0xff, 0xff, 0x7f, 0x00))).toBeUndefined();
  expect(readTemperature(bytes(0x00, 0x6c))).toBeUndefined();
  expect(readWeight(bytes(0x00, 0xe8, 0x03))).toEqual({ unit: 'kg', value: 5 });
  expect(readWeight(bytes(0x01, 0xe8, 0x03))).toEqual({ unit: 'lb', value: 10 });
  expect(readWeight(bytes(0x00, 0xff, 0xff))).toBeUndefined();
});
