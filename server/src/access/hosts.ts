import { isIP } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';

const LOOPBACK_NAMES: readonly string[] = ['localhost', '127.0.0.1', '[::1]'];
const LOOPBACK_ADDRESSES: readonly string[] = ['127.0.0.1', '::1', '::ffff:127.0.0.1'];

/** Whether an address that is listened on can only be reached from this machine. */
export function isLoopbackHost(host: string): boolean {
  return LOOPBACK_NAMES.includes(inUrl(host));
}

/** Whether a connection comes from this machine itself: of the whole loopback net only these two. */
export function isLoopbackAddress(address: string | undefined): boolean {
  return address !== undefined && LOOPBACK_ADDRESSES.includes(address);
}

/**
 * Names by which this server may be asked. A page elsewhere can make its own name lead here (DNS rebinding); what it asks then
 * carries that name, which is none of these.
 *
 * @param listensOn the address it listens on; `0.0.0.0` and `::` stand for all of the machine's
 * @param named further names, as a reverse proxy or the home's router has them
 */
export function ownHosts(listensOn: string, named: readonly string[] = []): ReadonlySet<string> {
  const hosts = new Set([...LOOPBACK_NAMES, ...named.map((name) => inUrl(name.toLowerCase()))]);
  if (isLoopbackHost(listensOn)) return hosts;
  for (const address of reachableAt(listensOn)) hosts.add(inUrl(address));
  const own = hostname().toLowerCase();
  return hosts.add(own).add(`${own}.local`);
}

/** Addresses under which other devices reach this machine. */
export function reachableAt(listensOn: string): readonly string[] {
  if (listensOn !== '0.0.0.0' && listensOn !== '::') return isLoopbackHost(listensOn) ? [] : [listensOn];
  return Object.values(networkInterfaces())
    .flat()
    .filter((each) => each !== undefined && !each.internal && !each.address.startsWith('fe80:'))
    .map((each) => each?.address ?? '');
}

/** The name in a `Host` header without its port, or undefined where it is none. */
export function nameIn(header: string | undefined): string | undefined {
  if (header === undefined || !/^[\w.:[\]-]+$/.test(header)) return undefined;
  try {
    return new URL(`http://${header}`).hostname;
  } catch {
    return undefined;
  }
}

/** An address as it stands in a URL: IPv6 in brackets. */
export function inUrl(address: string): string {
  return isIP(address) === 6 ? `[${address}]` : address;
}
