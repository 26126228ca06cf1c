import { type Cited, COMMON_PRACTICE } from './source';

type Row = readonly [
  canner: string,
  method: CannerRow['method'],
  insideDiameterIn: number,
  insideHeightIn: number,
  rackHeightIn: number,
  quarts: number,
  pints: number,
  halfPints: number,
  layers: number,
  note: string,
];

// One canner a line, as the table is printed.
// prettier-ignore
const ROWS: readonly Row[] = [
  ['21-quart enamel', 'boiling-water', 13.25, 9.5, 0.6, 7, 9, 9, 1, 'the common pot; common practice sizes'],
  ['33-quart enamel', 'boiling-water', 15.5, 10.5, 0.6, 9, 13, 13, 1, ''],
  ['tall narrow stock pot', 'boiling-water', 11.5, 11, 0.5, 5, 7, 7, 1, ''],
  ['16-quart stock pot with trivet', 'boiling-water', 11, 8.5, 0.5, 0, 7, 7, 1, 'too shallow for quarts'],
  ['atmospheric steam pan', 'steam', 13.5, 8, 1, 7, 8, 8, 1, 'about 3 quarts of water; thermometer or dial on the lid'],
  ['16-quart pressure canner', 'pressure', 12.25, 10, 0.5, 7, 10, 12, 1, 'half-pints may be stacked in two layers with a rack between'],
  ['23-quart pressure canner', 'pressure', 12.25, 12.5, 0.5, 7, 18, 24, 2, 'pints in two layers'],
];

export interface CannerRow extends Cited {
  readonly canner: string;
  readonly method: 'boiling-water' | 'steam' | 'pressure';
  readonly insideDiameterIn: number;
  readonly insideHeightIn: number;
  readonly rackHeightIn: number;
  /** How many the rack is said to take. A tall pot may take no quarts at all. */
  readonly declaredQuarts: number;
  readonly declaredPints: number;
  readonly declaredHalfPints: number;
  readonly layers: number;
  readonly note: string;
}

/** Common canners to start from; sizes are common practice, the household measures its own. */
export const CANNERS: readonly CannerRow[] = ROWS.map(
  ([canner, method, insideDiameterIn, insideHeightIn, rackHeightIn, quarts, pints, halfPints, layers, note]) => ({
    canner,
    method,
    insideDiameterIn,
    insideHeightIn,
    rackHeightIn,
    declaredQuarts: quarts,
    declaredPints: pints,
    declaredHalfPints: halfPints,
    layers,
    note,
    ...COMMON_PRACTICE,
  }),
);
