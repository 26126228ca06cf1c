export interface SyrupRow {
  readonly syrup: 'very-light' | 'light' | 'medium' | 'heavy' | 'very-heavy';
  readonly percentSugar: number;
  readonly waterCupsPer7Quarts: number;
  readonly sugarCupsPer7Quarts: number;
  readonly waterCupsPer9Pints: number;
  readonly sugarCupsPer9Pints: number;
}

/** Source: USDA Complete Guide to Home Canning, 2015, guide 2, "Preparing and using syrups", as recalled. */
export const SYRUPS: readonly SyrupRow[] = [
  {
    syrup: 'very-light',
    percentSugar: 10,
    waterCupsPer9Pints: 6.5,
    sugarCupsPer9Pints: 0.75,
    waterCupsPer7Quarts: 10.5,
    sugarCupsPer7Quarts: 1.25,
  },
  {
    syrup: 'light',
    percentSugar: 20,
    waterCupsPer9Pints: 5.75,
    sugarCupsPer9Pints: 1.5,
    waterCupsPer7Quarts: 9,
    sugarCupsPer7Quarts: 2.25,
  },
  {
    syrup: 'medium',
    percentSugar: 30,
    waterCupsPer9Pints: 5.25,
    sugarCupsPer9Pints: 2.25,
    waterCupsPer7Quarts: 8.25,
    sugarCupsPer7Quarts: 3.75,
  },
  {
    syrup: 'heavy',
    percentSugar: 40,
    waterCupsPer9Pints: 5,
    sugarCupsPer9Pints: 3.25,
    waterCupsPer7Quarts: 7.75,
    sugarCupsPer7Quarts: 5.25,
  },
  {
    syrup: 'very-heavy',
    percentSugar: 50,
    waterCupsPer9Pints: 4.25,
    sugarCupsPer9Pints: 4.25,
    waterCupsPer7Quarts: 6.5,
    sugarCupsPer7Quarts: 6.75,
  },
];
