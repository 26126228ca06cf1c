export interface CannerRow {
  readonly canner: string;
  readonly method: 'boiling-water';
  readonly insideDiameterIn: number;
  readonly insideHeightIn: number;
  readonly rackHeightIn: number;
  /** How many the rack is said to take. A tall pot may take no quarts at all. */
  readonly declaredQuarts: number;
  readonly declaredPints: number;
}

/** Common boiling-water canners to start from; sizes are common practice, the household measures its own. */
export const CANNERS: readonly CannerRow[] = [
  {
    canner: '21-quart enamel',
    method: 'boiling-water',
    insideDiameterIn: 13.25,
    insideHeightIn: 9.5,
    rackHeightIn: 0.6,
    declaredQuarts: 7,
    declaredPints: 9,
  },
  {
    canner: '33-quart enamel',
    method: 'boiling-water',
    insideDiameterIn: 15.5,
    insideHeightIn: 10.5,
    rackHeightIn: 0.6,
    declaredQuarts: 9,
    declaredPints: 13,
  },
  {
    canner: 'tall narrow stock pot',
    method: 'boiling-water',
    insideDiameterIn: 11.5,
    insideHeightIn: 11,
    rackHeightIn: 0.5,
    declaredQuarts: 5,
    declaredPints: 7,
  },
  {
    canner: '16-quart stock pot with trivet',
    method: 'boiling-water',
    insideDiameterIn: 11,
    insideHeightIn: 8.5,
    rackHeightIn: 0.5,
    declaredQuarts: 0,
    declaredPints: 7,
  },
];
