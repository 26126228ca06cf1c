import { type ScheduleProblem } from './scheduleProblem';

/** Parts of a minute that times may be given in. */
const SCALES = [1, 2, 4, 10, 20, 60, 100, 1_000];

/** The fewest parts of a minute in which all times of a problem are whole. @throws RangeError for finer ones */
export function scaleOf({ resources, tasks }: ScheduleProblem): number {
  const times = [
    ...tasks.flatMap(({ minutes, release = 0, after = [], modes = [] }) => [
      ...(modes.length > 0 ? modes.map((mode) => mode.minutes) : [minutes]),
      release,
      ...after.flatMap(({ minLag = 0, maxLag = 0 }) => [minLag, Number.isFinite(maxLag) ? maxLag : 0]),
    ]),
    ...tasks.flatMap(({ due }) => (due === undefined ? [] : [due])),
    ...resources.flatMap(({ closed = [], taken = [] }) => [
      ...closed.flat(),
      ...taken.flatMap(({ from, to }) => [from, to]),
    ]),
  ];
  const scale = SCALES.find((each) => times.every((time) => Math.abs(time * each - Math.round(time * each)) < 1e-9));
  if (scale === undefined) throw new RangeError('times must be whole minutes or thousandths of them');
  return scale;
}
