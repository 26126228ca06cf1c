import pino, { type DestinationStream, type Logger } from 'pino';

/** Keys, codes and passphrases are never written down. */
const REDACTED = ['req.headers.cookie', 'req.headers.authorization', 'res.headers["set-cookie"]'];

/** The server's log. @param to where it goes; the error stream unless said, so that the output keeps to its one line */
export function createLog(level: string, to: DestinationStream = pino.destination(2)): Logger {
  return pino({ level, redact: { paths: REDACTED, censor: 'not told' } }, to);
}

/** A request as it is logged: an open address is its own key, which is never written down. */
export function withoutKey<Told extends { url?: string }>(req: Told): Told {
  return { ...req, ...(req.url !== undefined && { url: req.url.replace(/^(\/open\/)[^/?#.]+/i, '$1not-told') }) };
}
