import { aPick } from './aPick';
import { Chance } from './chance';
import { closedDemoFile, newFolder } from './demoFile';
import { join } from 'node:path';
import { say, SEED } from './report';
import { afterMs, ServerProcess } from './serverProcess';

const WRITES = 1_000;
const HANDS = 8;

/** Backups taken while many hands write: each is one moment of the household, and restores to the sum it says. */
export async function benchBackups(): Promise<boolean> {
  const chance = new Chance(SEED);
  const { file } = await closedDemoFile();
  const server = new ServerProcess(file);
  await server.start();
  const other = new ServerProcess(join(newFolder(), 'household.sqlite'));
  await other.start();
  let left = WRITES;
  const hands = Array.from({ length: HANDS }, async () => {
    while (left-- > 0) {
      const id = chance.id();
      await server.call('POST', '/picks', aPick(id));
      const change = {
        id: chance.id(),
        pickId: id,
        part: 'sound',
        from: 'cool',
        kind: 'fresh',
        massKg: 1,
        at: Date.now() - 30_000,
      };
      await server.call('POST', '/lot-changes', change);
    }
  });
  const backups: string[] = [];
  const taking = (async () => {
    while (left > 0) {
      backups.push((await server.call('GET', '/backup')).text);
      await afterMs(50);
    }
  })();
  await Promise.all([...hands, taking]);
  const faults = [];
  for (const backup of backups) {
    const told = JSON.parse(backup) as { sha256: string };
    const { status, text } = await other.call('POST', '/restore', backup);
    if (status !== 200 || !text.includes(told.sha256)) faults.push(`${status} ${text.slice(0, 200)}`);
  }
  await Promise.all([server.stop(), other.stop()]);
  say(
    `backups during ${WRITES} times two writes of ${HANDS} hands: ${backups.length - faults.length} of ${backups.length} restore to the same sum`,
  );
  for (const fault of faults.slice(0, 5)) say(`  ${fault}`);
  return faults.length === 0 && backups.length > 5;
}
