/** Two kilograms of damsons that came in a minute ago: what a hand writes down again and again. */
export function aPick(id: string) {
  const pickedAt = Date.now() - 60_000;
  return { id, crop: 'damson', massKg: 2, softKg: 0, place: 'cool', pickedAt, told: '2 kg' };
}
