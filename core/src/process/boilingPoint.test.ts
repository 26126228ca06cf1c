import { airPressureKpa, boilingPointF, jellyPointF, saturationCelsius } from './boilingPoint';

// IAPWS R7-97 (IF97), table 36: saturation temperature at 0.1, 1 and 10 MPa.
test.each([
  [100, 372.755_919],
  [1_000, 453.035_632],
  [10_000, 584.149_488],
])('at %d kPa water boils at %d K', (kpa, kelvin) => {
  expect(saturationCelsius(kpa) + 273.15).toBeCloseTo(kelvin, 5);
});

// US Standard Atmosphere 1976: pressure at geopotential feet, kPa; from memory of the printed table.
test.each([
  [0, 101.325],
  [5_000, 84.307],
  [10_000, 69.682],
])('at %d ft the air presses with %d kPa', (ft, kpa) => expect(airPressureKpa(ft)).toBeCloseTo(kpa, 1));

// Boiling point of water by altitude in a standard atmosphere, as printed by extension services; from memory.
test.each([
  [0, 212],
  [1_000, 210.2],
  [2_000, 208.4],
  [3_000, 206.5],
  [4_000, 204.7],
  [5_000, 202.9],
  [6_000, 201.1],
  [7_000, 199.2],
  [8_000, 197.4],
  [9_000, 195.5],
  [10_000, 193.6],
])('at %d ft water boils within half a degree of %d F', (ft, degrees) => {
  expect(Math.abs(boilingPointF(ft) - degrees)).toBeLessThanOrEqual(0.5);
  expect(jellyPointF(ft)).toBeCloseTo(boilingPointF(ft) + 8, 9);
});
