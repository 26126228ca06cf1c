/** "140 F", or "60 C" in a metric kitchen, to the whole degree. */
export function degreesWords(degreesF: number, units: 'us' | 'metric'): string {
  return units === 'metric' ? `${Math.round((degreesF - 32) / 1.8)} C` : `${Math.round(degreesF)} F`;
}
