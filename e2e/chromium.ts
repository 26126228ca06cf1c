/** Debian's Chromium; nothing is downloaded, nothing outside this machine is asked. */
export const CHROMIUM = '/usr/bin/chromium';

export const QUIET = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
