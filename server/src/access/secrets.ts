import { createHash, randomBytes, randomInt, scrypt as scryptOf, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import { Mutex } from 'async-mutex';

const scrypt = promisify<string, Buffer, number, object, Buffer>(scryptOf as never);

/** OWASP Password Storage Cheat Sheet: scrypt with N = 2^15, r = 8, p = 3; 32 MiB and some tenths of a second. */
const COST = { N: 2 ** 15, r: 8, p: 3, maxmem: 64 * 1_024 * 1_024 };
const HASH_BYTES = 32;

/** One at a time: many at once would take the machine's memory. */
const one = new Mutex();

/** A passphrase as it is kept: salt and hash. */
export async function hashPassphrase(passphrase: string): Promise<string> {
  const salt = randomBytes(16);
  const hash = await one.runExclusive(() => scrypt(passphrase.normalize('NFC'), salt, HASH_BYTES, COST));
  return `scrypt:${salt.toString('base64url')}:${hash.toString('base64url')}`;
}

export async function isPassphrase(told: string, kept: string): Promise<boolean> {
  const [, salt = '', hash = ''] = kept.split(':');
  const own = await one.runExclusive(() =>
    scrypt(told.normalize('NFC'), Buffer.from(salt, 'base64url'), HASH_BYTES, COST),
  );
  return isSame(own, Buffer.from(hash, 'base64url'));
}

/** The key of a paired device: 256 random bits, which need no slow hash. */
export function newKey(): string {
  return randomBytes(32).toString('base64url');
}

export function hashKey(key: string): string {
  return createHash('sha256').update(key).digest('base64url');
}

export function isKey(told: string, keptHash: string): boolean {
  return isSame(Buffer.from(hashKey(told)), Buffer.from(keptHash));
}

function isSame(a: Buffer, b: Buffer): boolean {
  return a.length === b.length && timingSafeEqual(a, b);
}

/** Letters and digits that are not taken for each other when read aloud. */
const LETTERS = '23456789ABCDEFGHJKMNPQRSTVWXYZ';
const CODE_LENGTH = 8;

/** A code to type or scan once: 39 bits, good for minutes and a few tries. */
export function newCode(): string {
  return Array.from({ length: CODE_LENGTH }, () => LETTERS[randomInt(LETTERS.length)]).join('');
}

/** A code as it was typed: spaces, dashes and small letters do not matter. */
export function codeIn(told: string): string {
  return told.toUpperCase().replace(/[^0-9A-Z]/g, '');
}
