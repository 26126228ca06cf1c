/** Fahrenheit of a Celsius temperature. Exact by definition. */
export function fahrenheit(celsius: number): number {
  return celsius * 1.8 + 32;
}

/** Celsius of a Fahrenheit temperature. Exact by definition. */
export function celsius(fahrenheitDegrees: number): number {
  return (fahrenheitDegrees - 32) / 1.8;
}
