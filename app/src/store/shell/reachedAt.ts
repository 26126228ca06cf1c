/** Whether an address is only this machine's own: another device does not get there. */
export function isOnlyHere(address: string): boolean {
  return /\/\/(localhost|127\.|\[::1\])/i.test(address);
}

/**
 * Where other devices find this server: where this page came from, unless that is this machine's own address.
 *
 * @param addresses of the server in the home network, where they are known
 */
export function reachedAt(addresses: readonly string[] = []): string {
  const own = window.location.origin;
  return isOnlyHere(own) ? (addresses[0] ?? own) : own;
}
