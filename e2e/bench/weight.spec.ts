import { readdirSync, readFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { type Browser, type BrowserContext, type Page, test } from '@playwright/test';
import { ensureBare } from '../../scripts/bare.mjs';
import { appIsKept } from '../appIsKept';
import { Phone } from '../phone';
import { RealServer } from '../realServer';
import { staticSite } from '../staticSite';

/** Against a bare app of the same platform, built by the same tools on the same machine. */
const ALLOWED = { weight: 1.35, cold: 1.5, warmMs: 900 };
const TIMES = 7;
/** A phone of some years ago in a home's network. */
const CPU = 4;
const NETWORK = { offline: false, latency: 60, downloadThroughput: 10e6 / 8, uploadThroughput: 10e6 / 8 };

const say = (line: string) => process.stdout.write(`${line}\n`);
const middle = (all: readonly number[]) => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? NaN;
const verdict = (is: boolean) => (is ? 'reached' : 'missed');

/** Bytes of gzip, as this machine makes it, of every script that a page asks for before it stands. */
function scriptsOf(folder: string): number {
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  const scripts = [...page.matchAll(/<script src="\/([^"]+)"/g)].map(([, file]) => file ?? '');
  return scripts.reduce((sum, file) => sum + gzipSync(readFileSync(join(folder, file)), { level: 9 }).length, 0);
}

test('what the first screen weighs and when it stands, beside a bare app of the same platform', async ({ browser }) => {
  test.setTimeout(900_000);
  const bareFolder = ensureBare();
  const [own, bare] = [scriptsOf('app/dist'), scriptsOf(bareFolder)];
  say(`${cpus()[0]?.model ?? 'unknown machine'}, Node ${process.version}; ${CPU}x slowed, 10 Mbit/s, 60 ms`);
  say(
    `first-load scripts, gzip: ${own} of ${bare} bytes bare, ${(own / bare).toFixed(3)} of ${ALLOWED.weight} (${verdict(own <= ALLOWED.weight * bare)})`,
  );
  const fonts = readdirSync('app/dist/fonts').filter((name) => name.endsWith('.woff2'));
  say(
    `fonts: ${fonts.length} files, ${fonts.reduce((sum, name) => sum + readFileSync(`app/dist/fonts/${name}`).length, 0)} bytes`,
  );

  const server = await RealServer.start({ demo: true });
  const site = await staticSite(bareFolder);
  const bareTimes: number[] = [];
  const cold: number[] = [];
  // Side by side: what slows the machine meanwhile slows both.
  for (let time = 0; time < TIMES; time++) {
    bareTimes.push(await firstSeen(await freshContext(browser), site.address, '7 jars'));
    cold.push(await firstSeen(await freshContext(browser), server.address, 'Paste tomatoes'));
  }
  const ratio = middle(cold) / middle(bareTimes);
  say(`bare app's first paint: middle ${Math.round(middle(bareTimes))} ms of ${bareTimes.map(Math.round).join(' ')}`);
  say(
    `first useful paint, cold: middle ${Math.round(middle(cold))} ms of ${cold.map(Math.round).join(' ')}; ${ratio.toFixed(2)} of ${ALLOWED.cold} (${verdict(ratio <= ALLOWED.cold)})`,
  );
  for (const offline of [false, true]) {
    // With a disk, as every phone has one: a browser keeps scripts there as it has read them.
    const phone = await Phone.start();
    const first = await phone.open(server.address);
    await appIsKept(first);
    await first.close();
    const times: number[] = [];
    for (let time = 0; time < TIMES; time++)
      times.push(await firstSeen(phone.context, server.address, 'Paste tomatoes', offline));
    const name = offline ? 'without signal' : 'warm';
    say(
      `first useful paint, ${name}: middle ${Math.round(middle(times))} ms of ${times.map(Math.round).join(' ')} (${ALLOWED.warmMs} allowed: ${verdict(middle(times) <= ALLOWED.warmMs)})`,
    );
    await phone.close();
  }
  site.server.close();
  await server.stop();
});

function freshContext(browser: Browser): Promise<BrowserContext> {
  return browser.newContext({ viewport: { width: 390, height: 844 } });
}

/** Milliseconds from the navigation to the frame after some words are first on the page. */
async function firstSeen(context: BrowserContext, address: string, words: string, offline = false): Promise<number> {
  await context.setOffline(offline);
  const page: Page = await context.newPage();
  const devtools = await context.newCDPSession(page);
  await devtools.send('Network.emulateNetworkConditions', { ...NETWORK, offline });
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: CPU });
  await page.addInitScript((said) => {
    const seen = window as Window & { seenAt?: number };
    const look = () => {
      if (seen.seenAt !== undefined || !document.body?.textContent?.includes(said)) return;
      requestAnimationFrame(() => (seen.seenAt ??= performance.now()));
    };
    new MutationObserver(look).observe(document, { childList: true, subtree: true });
  }, words);
  await page.goto(address, { waitUntil: 'commit' });
  await page.waitForFunction(() => (window as Window & { seenAt?: number }).seenAt !== undefined, undefined, {
    timeout: 60_000,
  });
  const at = await page.evaluate(() => (window as Window & { seenAt?: number }).seenAt ?? NaN);
  await page.close();
  return at;
}
