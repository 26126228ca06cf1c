import { type IncomingMessage } from 'node:http';
import { type RequestHandler } from 'express';
import { isAtLeast, type Role } from '@hoddle/contract/device';
import { leastRole } from '@hoddle/contract/openapi/findOperation';
import { Problem } from '../problem';
import { isHome } from './ownOrigin';
import { type Pairing } from './pairing';

/** The cookie that carries a device's key. */
export const KEY_COOKIE = 'hoddle_key';

/** Who asks: this machine itself, or a paired device. */
export interface Who {
  readonly role: Role;
  readonly device?: { readonly id: string; readonly name: string };
}

/** Who asks, or undefined for somebody who was never let in. */
export function whoAsks(req: Pick<IncomingMessage, 'headers' | 'socket'>, pairing: Pairing): Who | undefined {
  if (isHome(req)) return { role: 'owner' };
  const key = cookieOf(req, KEY_COOKIE);
  const device = key === undefined ? undefined : pairing.deviceOf(key);
  return device && { role: device.role, device: { id: device.id, name: device.name } };
}

/**
 * Lets a request through to the API only for those who may do what it does.
 *
 * @throws Problem 401 for somebody who was never let in, 403 for a role that is not enough
 */
export function holdRole(pairing: Pairing): RequestHandler {
  return (req, res, next) => {
    const least = leastRole(req.method, req.path);
    if (least === 'anyone') return next();
    const who = whoAsks(req, pairing);
    if (!who) throw new Problem(401, 'not-paired', 'This device is not paired with the household yet.');
    res.locals.who = who;
    if (!isAtLeast(who.role, least)) {
      throw new Problem(403, 'role', mayNot(who.role, least));
    }
    next();
  };
}

function mayNot(role: Role, least: Role): string {
  if (role === 'instrument') return 'A scale or probe tells, and sees nothing.';
  return least === 'owner' ? 'Only an owner’s device may do that.' : 'This device may look, and change nothing.';
}

/** A cookie of the request by its name. */
function cookieOf({ headers }: Pick<IncomingMessage, 'headers'>, name: string): string | undefined {
  for (const part of (headers.cookie ?? '').split(';')) {
    const [own, value] = part.trim().split('=');
    if (own === name) return value;
  }
  return undefined;
}
