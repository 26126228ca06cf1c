import { type Canner } from '../canner/canner';
import { holdsMixed } from '../canner/holdsMixed';
import { isCanned } from './batch';
import { wayIn } from './inTheCanner';
import { type DayQuestion } from './questionOfDay';
import { hostOf, sizesInCanner, together } from './sharedLoad';
import { wishedCanners, wishedWay } from './wish';

/**
 * The canners that can take each load of a day, by load id: what is in use, serves one of its ways and holds all its jars. A load
 * that has gone in already stays where it is; one that goes in with another has no canner of its own.
 */
export function ableCanners({
  batches,
  canners,
  ownJars = [],
  progress,
  wishes = [],
}: DayQuestion): Map<string, readonly string[]> {
  const usable = canners.filter(({ id }) => !progress?.cannersOut.includes(id));
  const able = (batch: (typeof batches)[number], load: (typeof batch.loads)[number]): readonly string[] => {
    const stands = progress?.cannerOf.get(load.id);
    if (stands !== undefined) return [stands];
    const { jars } = together(batch, load, batches).load;
    const sizes = sizesInCanner(batch, load, batches);
    const only = wishedWay(wishes, batch.id);
    const fits = (canner: Canner) => {
      const method = wayIn(canner, batch, load, batches);
      return (
        method !== undefined && (only ?? method) === method && holdsMixed(canner, sizes, jars, { method, ownJars })
      );
    };
    const ids = usable.filter(fits).map(({ id }) => id);
    return wishedCanners(wishes, load.id, ids);
  };
  return new Map(
    batches
      .filter(isCanned)
      .flatMap((batch) =>
        batch.loads.filter((load) => !hostOf(load, batches)).map((load) => [load.id, able(batch, load)]),
      ),
  );
}
