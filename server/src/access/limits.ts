import { type Request, type RequestHandler } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import { isHome } from './ownOrigin';

/** How many requests an address may make. This machine itself is the household's own: it is only kept from running wild. */
export interface Limits {
  readonly aMinute: number;
  readonly aMinuteAtHome: number;
  /** Of those that search, restore or back up. */
  readonly heavyAMinute: number;
  /** Of tries to be let in. */
  readonly pairingsAMinute: number;
}

export const USUAL_LIMITS: Limits = { aMinute: 1_200, aMinuteAtHome: 60_000, heavyAMinute: 120, pairingsAMinute: 10 };

/** For load tests of a server that only this machine reaches. */
export const NO_LIMITS: Limits = { aMinute: 1e9, aMinuteAtHome: 1e9, heavyAMinute: 1e9, pairingsAMinute: 1e9 };

const HEAVY = [
  '/schedule',
  '/season-plans',
  '/restore',
  '/backups',
  '/backup',
  '/jars-in',
  '/rows-in',
  '/labels',
  '/papers',
  '/recipes/read',
  '/client-errors',
];

/** Every request of an address, those that are heavy, and those that try to come in, each counted by the minute. */
export function limitRates(limits: Limits): RequestHandler[] {
  const of = (limit: (req: Request) => number, isMeant: (req: Request) => boolean) =>
    rateLimit({
      ...{ windowMs: 60_000, standardHeaders: 'draft-8', legacyHeaders: false },
      limit,
      skip: (req) => !isMeant(req),
      keyGenerator: (req) => ipKeyGenerator(req.ip ?? ''),
      // What a proxy says of addresses is believed only from a proxy that was named; the library's warnings do not know that.
      validate: false,
      handler: (_req, res) => {
        const message = 'That is more than one device asks in a minute. Wait a little.';
        res.status(429).json({ error: { code: 'too-many', message } });
      },
    });
  return [
    of(
      (req) => (isHome(req) ? limits.aMinuteAtHome : limits.aMinute),
      () => true,
    ),
    of(
      () => limits.heavyAMinute,
      ({ method, path }) => method !== 'GET' && HEAVY.some((heavy) => isBelow(heavy, path)),
    ),
    of(
      () => limits.pairingsAMinute,
      ({ path }) => isBelow('/pair', path),
    ),
  ];
}

/** As the router reads addresses: large letters are small ones, a slash at the end is none. */
function isBelow(address: string, path: string): boolean {
  const asked = path.toLowerCase();
  return asked === address || asked.startsWith(`${address}/`);
}
