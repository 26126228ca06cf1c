import { isPressure } from '../canner/canner';
import { isCold } from '../process/method';
import { type Batch } from './batch';

interface CannerWords {
  /** From the last jar in to where the clock starts. */
  readonly heatUp: string;
  readonly process: string;
  /** Under the minutes, which stand large above it. */
  readonly short: string;
  readonly rest: string;
}

/** What happens to a load in its canner, as a strip has room for it, by the way it is processed. */
export function cannerWords({ method, processMinutes, pressurePsi }: Batch): CannerWords {
  const minutes = `${processMinutes} min`;
  if (isCold(method)) {
    const into = method === 'freezer' ? 'Into the freezer' : 'Into the refrigerator';
    return { heatUp: '', process: into, short: method, rest: 'Cool 20 min' };
  }
  if (isPressure(method)) {
    const psi = pressurePsi === undefined ? 'pressure' : `${pressurePsi} psi`;
    return {
      heatUp: `Vent 10 min, up to ${psi}`,
      process: `${minutes} at ${psi}`,
      short: psi,
      rest: 'Down by itself, weight off',
    };
  }
  switch (method) {
    case 'steam':
      return { heatUp: 'To steady steam', process: `${minutes} steam`, short: 'steam', rest: 'Heat off, lid on' };
    case 'low-temperature-bath':
      return { heatUp: 'To 180 F', process: `${minutes} at 180 F`, short: '180 F', rest: 'Heat off, lid off' };
    default:
      return { heatUp: 'To a full boil', process: `${minutes} boil`, short: 'boil', rest: 'Heat off, lid off' };
  }
}
