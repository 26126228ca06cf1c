import { type Centre } from './packCircles';

/**
 * In which order jars are set in so that a hanging rack stays level: each next one where the weight of all so far comes
 * nearest to the middle. Common practice: the centre, then pairs across from each other.
 *
 * @returns indexes of the places
 */
export function loadingOrder(places: readonly Centre[]): number[] {
  const left = new Set(places.keys());
  const order: number[] = [];
  let [x, y] = [0, 0];
  while (left.size > 0) {
    let next = -1;
    let least = Infinity;
    for (const i of left) {
      const place = places[i] as Centre;
      // A hair for the place's number keeps the order the same where two are as good.
      const off = Math.hypot(x + place.x, y + place.y) + i * 1e-9;
      if (off >= least) continue;
      least = off;
      next = i;
    }
    left.delete(next);
    order.push(next);
    x += (places[next] as Centre).x;
    y += (places[next] as Centre).y;
  }
  return order;
}
