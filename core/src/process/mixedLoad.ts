import { type TestedProcess } from './findProcess';
import { STEAM_LIMIT_MINUTES } from './method';
import { type Refusal, refusal } from './refusal';

export interface MixedLoad {
  readonly kind: 'mixed';
  /** The longest of them. */
  readonly minutes: number;
  readonly pressurePsi?: number;
  /** What the shorter ones pay for it, as a sentence; undefined when all take the same time. */
  readonly note?: string;
}

/**
 * One canner load of jars with different tested times: one method, one pressure, the longest time. Common practice,
 * handbook rules 7 and 15; the cook must ask for it.
 *
 * @param jars one answer for each kind of jar in the load, at least one
 */
export function mixedLoad(
  jars: readonly Pick<TestedProcess, 'method' | 'minutes' | 'pressurePsi'>[],
): MixedLoad | Refusal {
  const apart = ['two loads, one after the other'];
  const [first] = jars;
  if (!first) throw new RangeError('a load holds at least one kind of jar');
  if (jars.some(({ method }) => method !== first.method)) {
    return refusal('changed', 'One load is processed in one way: these jars need different ones.', apart);
  }
  if (jars.some(({ pressurePsi }) => pressurePsi !== first.pressurePsi)) {
    return refusal('changed', 'Different pressures never share a load.', apart);
  }
  const minutes = Math.max(...jars.map((jar) => jar.minutes));
  if (first.method === 'steam' && minutes > STEAM_LIMIT_MINUTES) {
    return refusal('steam-too-long', `Steam never goes past ${STEAM_LIMIT_MINUTES} min.`, apart);
  }
  const shortest = Math.min(...jars.map((jar) => jar.minutes));
  const { pressurePsi } = first;
  return {
    kind: 'mixed',
    minutes,
    ...(pressurePsi !== undefined && { pressurePsi }),
    ...(shortest < minutes && { note: `What needs only ${shortest} min is softer after ${minutes}.` }),
  };
}
