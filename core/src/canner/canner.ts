/** A canner of the household. Inside measures in inches, as they are read off a ruler and printed in tables. */
export interface Canner {
  readonly id: string;
  readonly name: string;
  readonly method: 'boiling-water';
  readonly insideDiameterIn: number;
  readonly insideHeightIn: number;
  readonly rackHeightIn: number;
  readonly declaredQuarts: number;
  readonly declaredPints: number;
}
