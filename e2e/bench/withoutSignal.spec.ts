import { cpus } from 'node:os';
import { expect, type Page, test } from '@playwright/test';
import { appIsKept } from '../appIsKept';
import { giveDemoClock, laterBy } from '../demoClock';
import { handRests } from '../handRests';
import { Phone } from '../phone';
import { RealServer } from '../realServer';

/** `RUNS` and `SEED` say how many days without signal, and which. */
const RUNS = Number(process.env.RUNS ?? 100);
const SEED = Number(process.env.SEED ?? 20261129);
const STEPS = 14;
const LOT = '0198f3a0-0000-7000-8000-000000000002';

const say = (line: string) => process.stdout.write(`${line}\n`);

/** Park and Miller's generator: the same days with the same seed. */
function chance(seed: number) {
  let state = (seed % 2_147_483_646) + 1;
  return (below: number) => (state = (state * 48_271) % 2_147_483_647) % below;
}

/** A phone, its tabs, and what was tapped on it: how often, and how often that was shown as done. */
interface Hand {
  readonly phone: Phone;
  tabs: Page[];
  tapped: number;
  done: number;
}

interface Outcome {
  readonly lost: number;
  readonly doubled: number;
  readonly untold: number;
  readonly refused: number;
  readonly tapped: number;
  readonly kills: number;
}

test(`${RUNS} days without signal: tabs, reloads, phones and servers that die`, async () => {
  test.setTimeout(RUNS * 120_000);
  say(`${cpus()[0]?.model ?? 'unknown machine'}, Node ${process.version}, seed ${SEED}`);
  const all: Outcome[] = [];
  for (let run = 0; run < RUNS; run++) all.push(await oneDay(SEED + run));
  const sum = (of: keyof Outcome) => all.reduce((total, each) => total + each[of], 0);
  say(
    `${RUNS} days without signal, ${sum('tapped')} jars taken by taps, ${sum('kills')} kills of browsers and servers: ${sum('lost')} lost, ${sum('doubled')} doubled; ${sum('refused')} refused, ${sum('untold')} of them untold`,
  );
  expect(sum('lost') + sum('doubled') + sum('untold')).toBe(0);
});

async function oneDay(seed: number): Promise<Outcome> {
  const random = chance(seed);
  const server = await RealServer.start();
  await giveDemoClock(server);
  const jars = 4 + random(8);
  const { now } = (await server.call('GET', '/state')).body as { now: number };
  const lot = {
    ...{ id: LOT, product: 'tomatoes-crushed', jar: 'quart', place: 'shelf', seal: 'sealed' },
    ...{ madeAt: now - 1e9, keepsUntil: now + 1e10 },
  };
  await server.call('POST', '/jars-in', { id: crypto.randomUUID(), at: now, rows: [{ lot, jars }] });
  const hands: Hand[] = [];
  for (const tabs of [2, 1]) {
    const hand: Hand = { phone: await Phone.start(), tabs: [], tapped: 0, done: 0 };
    hand.tabs = await opened(hand.phone, server, tabs);
    const [first] = hand.tabs;
    if (first) await appIsKept(first);
    await hand.phone.signal(false);
    hands.push(hand);
  }
  let kills = 0;
  for (let step = 0; step < STEPS; step++) {
    const hand = hands[random(hands.length)] as Hand;
    const tab = hand.tabs[random(hand.tabs.length)] as Page;
    const what = random(20);
    if (what < 11) await tap(hand, tab, true);
    else if (what < 13) await tab.reload();
    else if (what < 16) {
      // In the moment of a tap, or while nothing is done.
      if (what === 15) await tap(hand, tab, false);
      await dies(hand, server);
      kills += 1;
    } else if (what < 18) {
      // A breath of signal: something may be on its way when it goes.
      await hand.phone.signal(true);
      await tab.evaluate((ms) => new Promise((done) => setTimeout(done, ms)), random(400));
      await hand.phone.signal(false);
    } else {
      await server.stop('SIGKILL');
      await server.start();
      kills += 1;
    }
  }
  await laterBy(server, 24 * 60);
  for (const { phone } of hands) await phone.signal(true);
  const outcome = await told(server, hands);
  for (const { phone } of hands) await phone.close();
  await server.stop();
  const { lost, doubled, untold } = outcome;
  if (lost + doubled + untold > 0) say(`day ${seed}: ${lost} lost, ${doubled} doubled, ${untold} untold`);
  return { ...outcome, kills };
}

async function opened(phone: Phone, server: RealServer, tabs: number): Promise<Page[]> {
  const pages: Page[] = [];
  for (let tab = 0; tab < tabs; tab++) pages.push(await phone.open(`${server.address}/shelf`));
  for (const page of pages) await expect(heading(page)).toHaveText(/^\d+ jar/);
  return pages;
}

const heading = (page: Page) => page.getByRole('heading', { level: 1 });
const countOn = async (page: Page) => Number.parseInt(await heading(page).innerText(), 10);

/** A jar is taken. @param waits until the screen shows it as done */
async function tap(hand: Hand, page: Page, waits: boolean): Promise<void> {
  await handRests(page);
  const before = await countOn(page);
  if (before === 0) return;
  hand.tapped += 1;
  const key = page.getByRole('button', { name: /Take one made/ }).first();
  if (!waits) return key.click({ noWaitAfter: true });
  await key.click();
  // Another tab of the phone may have told of one more meanwhile.
  await expect.poll(() => countOn(page)).toBeLessThan(before);
  hand.done += 1;
}

async function dies(hand: Hand, server: RealServer): Promise<void> {
  const tabs = hand.tabs.length;
  await hand.phone.dies();
  await hand.phone.wakes(false);
  hand.tabs = await opened(hand.phone, server, tabs);
}

/** What came of it, once both phones say that nothing is on its way any more. */
async function told(server: RealServer, hands: readonly Hand[]): Promise<Omit<Outcome, 'kills'>> {
  let listed = 0;
  for (const { tabs } of hands) {
    const [page] = tabs as [Page];
    await page.goto(`${server.address}/bench/waiting`);
    await expect(heading(page)).toHaveText('What waits');
    await expect(page.getByRole('list', { name: 'On their way' })).toHaveCount(0, { timeout: 60_000 });
    await expect(page.getByText(/^No signal since/)).toHaveCount(0);
    listed += await page.getByRole('list', { name: 'Not taken' }).getByRole('listitem').count();
  }
  const { movements } = (await server.call('GET', '/state')).body as { movements: { id: string; kind: string }[] };
  const kept = movements.filter(({ kind }) => kind === 'taken').length;
  const clashes = movements.filter(({ kind }) => kind === 'short').length;
  const tapped = hands.reduce((total, each) => total + each.tapped, 0);
  const done = hands.reduce((total, each) => total + each.done, 0);
  return {
    lost: Math.max(0, done - kept - listed),
    doubled: Math.max(0, kept + listed - tapped),
    // Every one that the server refused is on a list.
    untold: Math.max(0, clashes - listed),
    refused: listed,
    tapped,
  };
}
