export interface Layer {
  readonly jars: number;
  readonly places: number;
}

/**
 * A load in the layers of its canner, the lower one first. A layer is filled before the next is begun; one that is begun
 * has places for spacers, one that is not stays out. Common practice.
 *
 * @param jars of the load
 * @param places in all layers together; the lower one has the odd one
 */
export function inLayers(jars: number, places: number, layers: 1 | 2): Layer[] {
  if (layers === 1) return [{ jars, places }];
  const lower = Math.ceil(places / 2);
  if (jars <= lower) return [{ jars, places: lower }];
  return [
    { jars: lower, places: lower },
    { jars: jars - lower, places: places - lower },
  ];
}
