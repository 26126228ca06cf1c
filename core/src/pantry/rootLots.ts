import { type JarLot } from './jarLot';

/** The lot each lot's jars first came to the shelf in: carried and opened ones lead back to it. */
export function rootLots(lots: readonly JarLot[]): Map<string, string> {
  const byId = new Map(lots.map((lot) => [lot.id, lot]));
  const roots = new Map<string, string>();
  for (const lot of lots) {
    let root = lot;
    // A chain longer than the lots there are would be a circle: no file of ours has one, a damaged one might.
    for (let steps = 0; root.fromLotId !== undefined && steps < lots.length; steps++) {
      const before = byId.get(root.fromLotId);
      if (!before) {
        root = { ...root, id: root.fromLotId };
        break;
      }
      root = before;
    }
    roots.set(lot.id, root.id);
  }
  return roots;
}
