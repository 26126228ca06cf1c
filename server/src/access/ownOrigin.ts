import { type IncomingMessage } from 'node:http';
import { type Request, type RequestHandler } from 'express';
import { Problem } from '../problem';
import { isLoopbackAddress, isLoopbackHost, nameIn } from './hosts';

/** Headers by which something on the way says that the request is another's. */
const FORWARDED = ['forwarded', 'x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto', 'x-real-ip', 'via'];

/** Whether something passed the request on. */
export function isForwarded({ headers }: Pick<IncomingMessage, 'headers'>): boolean {
  return FORWARDED.some((header) => headers[header] !== undefined);
}

/** Whether the request comes from this machine itself, under one of its own names, from nobody else. */
export function isHome(req: Pick<IncomingMessage, 'headers' | 'socket'>): boolean {
  const name = nameIn(req.headers.host);
  return isLoopbackAddress(req.socket.remoteAddress) && !isForwarded(req) && name !== undefined && isLoopbackHost(name);
}

/** @throws Problem 421 for a request under a name that is none of the server's */
export function holdHost(hosts: () => ReadonlySet<string>): RequestHandler {
  return (req, _res, next) => {
    const name = nameIn(req.get('host'));
    if (name === undefined || !hosts().has(name)) {
      throw new Problem(421, 'not-this-host', 'Nobody is here under this name.');
    }
    next();
  };
}

/**
 * Only the app itself asks the API. A page of another origin cannot read it (no CORS header is ever sent) and cannot write to it:
 * browsers say where a request comes from, and what they say must be this very origin. What carries a body is JSON, which no
 * plain form can send.
 *
 * Method: OWASP Cross-Site Request Forgery Prevention Cheat Sheet, "Fetch Metadata" and "Verifying Origin".
 *
 * @throws Problem 403 from elsewhere, 415 for a body that is no JSON
 */
export const holdOrigin: RequestHandler = (req, _res, next) => {
  const site = req.get('sec-fetch-site');
  const fromElsewhere = site === 'cross-site' || site === 'same-site' || (site === 'none' && isWrite(req));
  if (fromElsewhere || !isOwnOrigin(req)) {
    throw new Problem(403, 'other-origin', 'This comes from another page. Nothing was done.');
  }
  const carries = req.get('transfer-encoding') !== undefined || Number(req.get('content-length') ?? 0) > 0;
  const needsJson = isWrite(req) && (carries || req.method !== 'DELETE');
  if (needsJson && !req.is('application/json')) {
    throw new Problem(415, 'no-json', 'Send application/json.');
  }
  next();
};

function isWrite({ method }: Request): boolean {
  return method !== 'GET' && method !== 'HEAD';
}

/** Programs that are no browsers send no origin; a browser always sends one with a write. */
function isOwnOrigin(req: Request): boolean {
  const origin = req.get('origin');
  if (origin === undefined) return true;
  let told: URL;
  try {
    told = new URL(origin);
  } catch {
    return false;
  }
  // Behind a proxy the way to it may be https while the way from it is not: its name decides then.
  const scheme = isForwarded(req) ? told.protocol : `${req.protocol}:`;
  return told.protocol === scheme && told.host === req.get('host')?.toLowerCase();
}
