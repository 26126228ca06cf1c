import { type CookieOptions, type Response, Router } from 'express';
import * as v from 'valibot';
import {
  type DevicesReply,
  type Me,
  PairingCodeRequest,
  PairRequest,
  PassphraseRequest,
} from '@hoddle/contract/device';
import { type Pairing } from '../access/pairing';
import { KEY_COOKIE, type Who } from '../access/who';
import { type Changes } from '../changes';
import { Problem } from '../problem';
import { type Authority } from '../tls/authority';
import { trustPath } from './trust';

/** A browser keeps a cookie for at most 400 days. https://www.rfc-editor.org/rfc/rfc6265 as browsers keep it today. */
const KEY_MS = 400 * 24 * 60 * 60_000;

interface AccessParts {
  readonly pairing: Pairing;
  readonly changes: Changes;
  readonly addresses: () => readonly string[];
  readonly authority?: Authority | undefined;
}

/** Who is let in, by whom, and who is shut out again. */
export function accessRoute({ pairing, changes, addresses, authority }: AccessParts): Router {
  const shutOut = async (id: string) => {
    if (!(await pairing.revoke(id))) throw new Problem(404, 'no-device', 'There is no such device.');
    changes.hangUp(id);
  };
  return Router()
    .get('/me', (_req, res) => {
      const { role, device } = whoOf(res);
      const me: Me = { role, name: device?.name ?? null };
      res.json(me);
    })
    .delete('/me', async (_req, res) => {
      const { device } = whoOf(res);
      if (device) await shutOut(device.id);
      res.clearCookie(KEY_COOKIE).status(204).end();
    })
    .post('/pair', async (req, res) => {
      const told = v.parse(PairRequest, req.body);
      const { device, key } = await pairing.pair(told, req.ip ?? '');
      const cookie: CookieOptions = {
        httpOnly: true,
        sameSite: 'strict',
        path: '/',
        maxAge: KEY_MS,
        secure: req.secure,
      };
      res.cookie(KEY_COOKIE, key, cookie).status(201).json(device);
    })
    .post('/pairing-codes', (req, res) => {
      const { role } = v.parse(PairingCodeRequest, req.body);
      res.status(201).json({ ...pairing.openCode(role), addresses: addresses() });
    })
    .get('/devices', (_req, res) => {
      const reply: DevicesReply = {
        ...{ devices: pairing.list(), hasPassphrase: pairing.hasPassphrase, addresses: [...addresses()] },
        authority: authority ? { path: trustPath(authority), fingerprint: authority.fingerprint } : null,
      };
      res.json(reply);
    })
    .delete('/devices/:id', async (req, res) => {
      await shutOut(req.params.id);
      res.status(204).end();
    })
    .put('/passphrase', async (req, res) => {
      await pairing.setPassphrase(v.parse(PassphraseRequest, req.body).passphrase);
      res.status(204).end();
    });
}

/** Who asks; the door has said it. */
export function whoOf(res: Response): Who {
  return res.locals.who as Who;
}
