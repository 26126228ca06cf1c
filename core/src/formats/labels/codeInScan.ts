/** The code in what a camera read: an address of this or of a former place of the household's server, or the bare code. */
export function codeInScan(read: string): string | undefined {
  const bare = read.trim();
  return /^[0-9a-z]{5}$/i.test(bare) ? bare : /^https?:\/\/[^/?#]+\/j\/([0-9a-z]{5})\/?$/i.exec(bare)?.[1];
}
