import * as v from 'valibot';
import { Id } from './id';

/** What a device may do, from least to most: tell what it weighs and measures, and see nothing; look; all the work; also bring back, pair and strike out history. */
export const ROLES = ['instrument', 'looker', 'cook', 'owner'] as const;
export type Role = (typeof ROLES)[number];

export const RoleSchema = v.picklist(ROLES, `must be one of ${ROLES.join(', ')}`);

/** Whether a role is as much as what is asked for. */
export function isAtLeast(role: Role, least: Role): boolean {
  return ROLES.indexOf(role) >= ROLES.indexOf(least);
}

const Name = v.pipe(v.string(), v.trim(), v.minLength(1, 'needs a name'), v.maxLength(40, 'is too long'));

/** A phone or another computer that was let in. */
export const Device = v.object({
  id: Id,
  name: Name,
  role: RoleSchema,
  pairedAt: v.number(),
  seenAt: v.nullable(v.number()),
  /** When it was shut out again. */
  revokedAt: v.nullable(v.number()),
});
export type Device = v.InferOutput<typeof Device>;

/** The reply of `GET /api/devices`. */
export const DevicesReply = v.object({
  devices: v.array(Device),
  hasPassphrase: v.boolean(),
  /** Where other devices reach this server: empty while it is only for this machine. */
  addresses: v.array(v.string()),
  /** The home's own certificate authority, where it made one: where a phone fetches it, and what it must be. */
  authority: v.nullable(v.object({ path: v.string(), fingerprint: v.string() })),
});
export type DevicesReply = v.InferOutput<typeof DevicesReply>;

/** The body of `POST /api/pairing-codes`. */
export const PairingCodeRequest = v.object({ role: RoleSchema });

/** Its reply: a code for one device, good for five minutes. */
export const PairingCode = v.object({ code: v.string(), until: v.number(), addresses: v.array(v.string()) });
export type PairingCode = v.InferOutput<typeof PairingCode>;

/** The body of `POST /api/pair`: a code that was shown, or the household's passphrase. */
export const PairRequest = v.union(
  [
    v.object({ name: Name, code: v.pipe(v.string(), v.maxLength(20, 'is too long')) }),
    v.object({ name: Name, passphrase: v.pipe(v.string(), v.maxLength(128, 'is too long')) }),
  ],
  'must be { name, code } or { name, passphrase }',
);

/** NIST SP 800-63B, 5.1.1.2, and OWASP ASVS 4.0, 2.1.1 and 2.1.2: twelve characters and more, no rules of which. */
export const PassphraseRequest = v.object({
  passphrase: v.pipe(
    v.string(),
    v.minLength(12, 'must be 12 characters or more'),
    v.maxLength(128, 'must be at most 128 characters'),
  ),
});

/** The reply of `GET /api/me`: who asks. */
export const Me = v.object({
  role: RoleSchema,
  /** The name it was paired under; null for this machine itself. */
  name: v.nullable(v.string()),
});
export type Me = v.InferOutput<typeof Me>;
