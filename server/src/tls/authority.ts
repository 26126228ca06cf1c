import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';

const DAY_MS = 24 * 60 * 60_000;
const AUTHORITY_YEARS = 10;

/** Phones take no certificate of a server that is good for longer than 825 days; this is well below. */
const SERVER_DAYS = 397;
const RENEW_DAYS = 30;

/** The home's own certificate authority: made once on this machine, trusted once on each phone. */
export interface Authority {
  /** Its certificate, which is no secret. */
  readonly pem: string;
  /** SHA-256 of it, as a phone shows it. */
  readonly fingerprint: string;
}

export interface Served {
  readonly key: string;
  readonly cert: string;
  readonly authority: Authority;
}

/**
 * The certificate this server shows, signed by the home's own authority; both are made when they are not there, and the server's
 * again when the machine has other addresses or it runs out.
 *
 * @param folder where keys are kept, readable by their owner alone
 * @param hosts names and addresses it is asked by
 */
export async function localCertificate(folder: string, hosts: readonly string[], now = Date.now()): Promise<Served> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const at = (name: string) => join(folder, name);
  const keep = (name: string, text: string) => writeFileSync(at(name), text, { mode: 0o600 });
  if (!existsSync(at('authority-key.pem'))) {
    const made = await newAuthority(now);
    keep('authority-key.pem', made.private);
    keep('authority.pem', made.cert);
  }
  const pem = readFileSync(at('authority.pem'), 'utf8');
  const ca = { key: readFileSync(at('authority-key.pem'), 'utf8'), cert: pem };
  if (!isGood(at('server.pem'), at('server-key.pem'), pem, hosts, now)) {
    const made = await newServer(ca, hosts, now);
    keep('server-key.pem', made.private);
    keep('server.pem', made.cert);
  }
  return {
    key: readFileSync(at('server-key.pem'), 'utf8'),
    cert: readFileSync(at('server.pem'), 'utf8'),
    authority: { pem, fingerprint: new X509Certificate(pem).fingerprint256 },
  };
}

// Certificates are made about once a year: what makes them is not loaded with every start.
async function newAuthority(now: number) {
  const { generate } = await import('selfsigned');
  return generate([{ name: 'commonName', value: 'Hoddle at home' }], {
    ...{ keyType: 'ec', curve: 'P-256', algorithm: 'sha256' },
    notBeforeDate: new Date(now - DAY_MS),
    notAfterDate: new Date(now + AUTHORITY_YEARS * 365 * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    ],
  });
}

async function newServer(ca: { key: string; cert: string }, hosts: readonly string[], now: number) {
  const { generate } = await import('selfsigned');
  return generate([{ name: 'commonName', value: 'Hoddle' }], {
    ...{ keyType: 'ec', curve: 'P-256', algorithm: 'sha256', ca },
    notBeforeDate: new Date(now - DAY_MS),
    notAfterDate: new Date(now + SERVER_DAYS * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: false },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: hosts.map(bare).map((host) => (isIP(host) ? { type: 7, ip: host } : { type: 2, value: host })),
      },
    ],
  });
}

/** An address without the brackets it has in a URL. */
function bare(host: string): string {
  return host.replace(/^\[|\]$/g, '');
}

function isGood(certFile: string, keyFile: string, authority: string, hosts: readonly string[], now: number): boolean {
  if (!existsSync(certFile) || !existsSync(keyFile)) return false;
  const cert = new X509Certificate(readFileSync(certFile));
  const isOurs = cert.verify(new X509Certificate(authority).publicKey);
  const isFresh = Date.parse(cert.validTo) - now > RENEW_DAYS * DAY_MS;
  return isOurs && isFresh && hosts.map(bare).every((host) => (isIP(host) ? cert.checkIP(host) : cert.checkHost(host)));
}
