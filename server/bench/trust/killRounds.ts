import { join } from 'node:path';
import { MIGRATIONS } from '../../src/db/migrations';
import { fileOfVersion } from '../../src/db/oldFile';
import { aPick } from './aPick';
import { type Chance } from './chance';
import { closedDemoFile, newFolder } from './demoFile';
import { afterMs, ServerProcess } from './serverProcess';

/** What was lost, doubled or locked out over some rounds; and how many writes were acknowledged. */
export interface Killed {
  readonly rounds: number;
  readonly acknowledged: number;
  readonly faults: readonly string[];
}

const WRITERS = 6;
/** So many writes of a round are acknowledged before the server is killed. */
const FEWEST_KEPT = 4;

/** Six hands write without rest, the server is killed in the middle of it, and asked after the next start what it has. */
export async function killedWhileWriting(rounds: number, chance: Chance): Promise<Killed> {
  const { file } = await closedDemoFile();
  const server = new ServerProcess(file);
  const acknowledged = new Set<string>();
  const faults: string[] = [];
  for (let round = 0; round < rounds; round++) {
    await server.start().catch((error: unknown) => faults.push(`round ${round}: locked out, ${String(error)}`));
    faults.push(...(await missingOf(server, acknowledged)).map((fault) => `round ${round}: ${fault}`));
    let goOn = true;
    const wanted = acknowledged.size + FEWEST_KEPT;
    let tellKept: () => void = () => undefined;
    const someKept = new Promise<void>((kept) => (tellKept = kept));
    const hands = Array.from({ length: WRITERS }, async () => {
      while (goOn) {
        const id = chance.id();
        const pick = aPick(id);
        const reply = await server.call('POST', '/picks', pick).catch(() => undefined);
        if (reply?.status === 201) {
          acknowledged.add(id);
          if (acknowledged.size >= wanted) tellKept();
        } else if (reply) faults.push(`round ${round}: a write answered ${reply.status}`);
        else return;
      }
    });
    // However slow the machine, there is something to lose.
    await Promise.race([someKept, Promise.all(hands)]);
    await afterMs(chance.below(250));
    await server.stop('SIGKILL');
    goOn = false;
    await Promise.all(hands);
  }
  await server.start();
  faults.push(...(await missingOf(server, acknowledged)));
  await server.stop();
  return { rounds, acknowledged: acknowledged.size, faults };
}

async function missingOf(server: ServerProcess, acknowledged: ReadonlySet<string>): Promise<string[]> {
  const { picks } = JSON.parse((await server.call('GET', '/state')).text) as { picks: { id: string }[] };
  const ids = picks.map(({ id }) => id);
  const there = new Set(ids);
  const lost = [...acknowledged].filter((id) => !there.has(id)).length;
  return [
    ...(lost > 0 ? [`${lost} lost`] : []),
    ...(there.size < ids.length ? [`${ids.length - there.size} doubled`] : []),
  ];
}

/** A file of each older version, and the server killed somewhere while it brings it up; then it must open with all that was in it. */
export async function killedWhileUpgrading(rounds: number, chance: Chance): Promise<Killed> {
  const folder = newFolder();
  const faults: string[] = [];
  for (let round = 0; round < rounds; round++) {
    const version = 1 + (round % (MIGRATIONS.length - 1));
    const file = await fileOfVersion(version, join(folder, `${round}.sqlite`));
    const server = new ServerProcess(file);
    // Killed twice, so that it also begins again where the first one was cut off.
    for (let times = 0; times < 2; times++) {
      server.launch();
      await afterMs(200 + chance.below(700));
      await server.stop('SIGKILL');
    }
    try {
      await server.start();
      const state = JSON.parse((await server.call('GET', '/state')).text) as {
        household: { name: string; altitudeFt: number };
        picks: object[];
        movements: object[];
      };
      const isWhole =
        state.household.name === 'Kept' && state.household.altitudeFt === 3_420 && state.picks.length === 1;
      if (!isWhole) faults.push(`round ${round}, version ${version}: not all of it is there`);
      await server.stop();
    } catch (error) {
      faults.push(`round ${round}, version ${version}: locked out, ${String(error)}`);
      await server.stop('SIGKILL');
    }
  }
  return { rounds, acknowledged: 0, faults };
}

/** Killed while a backup takes the place of the household: after the next start it is the one or the other, to the last row. */
export async function killedWhileRestoring(rounds: number, chance: Chance): Promise<Killed> {
  const { file, sum: demoSum } = await closedDemoFile();
  const server = new ServerProcess(file);
  await server.start();
  const demo = (await server.call('GET', '/backup')).text;
  await server.call('POST', '/picks', aPick(chance.id()));
  const other = (await server.call('GET', '/backup')).text;
  await server.stop();
  const sums = new Set([demoSum, (JSON.parse(other) as { sha256: string }).sha256]);
  const faults: string[] = [];
  let acknowledged = 0;
  for (let round = 0; round < rounds; round++) {
    await server.start().catch((error: unknown) => faults.push(`round ${round}: locked out, ${String(error)}`));
    const told = round % 2 === 0 ? demo : other;
    const reply = server.call('POST', '/restore', told).catch(() => undefined);
    await afterMs(chance.below(900));
    await server.stop('SIGKILL');
    const answered = await reply;
    await server.start().catch((error: unknown) => faults.push(`round ${round}: locked out, ${String(error)}`));
    const { sha256 } = JSON.parse((await server.call('GET', '/backup')).text) as { sha256: string };
    if (!sums.has(sha256)) faults.push(`round ${round}: neither the household before nor the one restored`);
    if (answered?.status === 200) {
      acknowledged += 1;
      if (sha256 !== (JSON.parse(told) as { sha256: string }).sha256)
        faults.push(`round ${round}: a restore that was acknowledged is lost`);
    }
    await server.stop();
  }
  return { rounds, acknowledged, faults };
}
