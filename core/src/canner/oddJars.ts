import { type Method } from '../process/method';
import { mixedLoad } from '../process/mixedLoad';

/** What to do with the few jars that would run a canner nearly empty. */
export type OddJarsChoice =
  | { readonly kind: 'runShort'; readonly occupiedMin: number; readonly spacers: number; readonly waterL: number }
  | {
      readonly kind: 'share';
      readonly withLoadId: string;
      readonly minutes: number;
      readonly savedMin: number;
      readonly note?: string;
    }
  | { readonly kind: 'hold'; readonly days: number; readonly savedMin: number }
  | { readonly kind: 'refrigerate'; readonly days: number; readonly savedMin: number };

/** A load that the odd jars could join: of another batch, or the short one of the same. */
export interface OpenLoad {
  readonly loadId: string;
  readonly method: Method;
  readonly pressurePsi?: number;
  readonly minutes: number;
  /** Places the rack still has for jars of the odd ones' size. */
  readonly free: number;
}

export interface OddJars {
  readonly jars: number;
  readonly places: number;
  readonly method: Method;
  readonly pressurePsi?: number;
  readonly minutes: number;
  /** Canner time besides the process: loading, heating up, rest, unloading. */
  readonly aroundMin: number;
  readonly waterL: number;
  /** Days the produce keeps as it is, uncut; 0 when it is cut already. */
  readonly keepsDays: number;
  /** Days the filled jars would keep in the refrigerator; undefined where the product has no such class (rule 10). */
  readonly refrigeratorDays?: number;
}

/**
 * The odd jars at the end of a batch, each way out with its cost: run the canner short, share a load with others, hold the
 * produce for the next day, or refrigerate. Handbook rules 7, 10 and 15: one method and one pressure a load, the longest
 * time, steam never past 45 min.
 *
 * @returns what is possible, the least canner time first
 */
export function oddJars(odd: OddJars, open: readonly OpenLoad[]): OddJarsChoice[] {
  const occupiedMin = odd.minutes + odd.aroundMin;
  const shared = open.flatMap((load): (OddJarsChoice & { kind: 'share' })[] => {
    const mixed = mixedLoad([odd, load]);
    if (mixed.kind === 'refusal' || load.free < odd.jars) return [];
    const { minutes, note } = mixed;
    const savedMin = occupiedMin - (minutes - load.minutes);
    return [{ kind: 'share', withLoadId: load.loadId, minutes, savedMin, ...(note !== undefined && { note }) }];
  });
  const rest: OddJarsChoice[] = [
    ...(odd.keepsDays >= 1 ? [{ kind: 'hold', days: odd.keepsDays, savedMin: occupiedMin } as const] : []),
    ...(odd.refrigeratorDays !== undefined
      ? [{ kind: 'refrigerate', days: odd.refrigeratorDays, savedMin: occupiedMin } as const]
      : []),
    { kind: 'runShort', occupiedMin, spacers: odd.places - odd.jars, waterL: odd.waterL },
  ];
  return [...shared.sort((a, b) => b.savedMin - a.savedMin), ...rest];
}
