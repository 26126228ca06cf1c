/** A common boiling-water canner, as the server takes it: seven quarts or nine pints. */
export const BIG_POT = {
  ...{ id: '0198f3a0-0000-7000-8000-0000000000c1', name: 'Big pot', method: 'boiling-water', insideDiameterIn: 13.25 },
  ...{ insideHeightIn: 10.5, rackHeightIn: 0.6, declaredQuarts: 7, declaredPints: 9, declaredHalfPints: 9 },
  ...{ alsoBoilingWater: false, layers: 1, burnerWatts: 2_500, electric: false, timesItself: false, testFits: [] },
};
