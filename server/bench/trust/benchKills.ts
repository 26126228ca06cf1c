import { Chance } from './chance';
import { type Killed, killedWhileRestoring, killedWhileUpgrading, killedWhileWriting } from './killRounds';
import { say, SEED } from './report';

const ROUNDS = Number(process.env.ROUNDS ?? 200);

/** The server killed (SIGKILL) while it writes, while it brings a file up, and while it restores. */
export async function benchKills(): Promise<boolean> {
  const chance = new Chance(SEED);
  const writing = await killedWhileWriting(ROUNDS, chance);
  tell('while writing', writing, `${writing.acknowledged} acknowledged writes`);
  const upgrading = await killedWhileUpgrading(ROUNDS / 2, chance);
  tell('while upgrading, each killed twice', upgrading, 'versions 1 to 10 in turn');
  const restoring = await killedWhileRestoring(ROUNDS / 2, chance);
  tell('while restoring', restoring, `${restoring.acknowledged} acknowledged`);
  return [writing, upgrading, restoring].every(({ faults }) => faults.length === 0);
}

function tell(when: string, { rounds, faults }: Killed, more: string): void {
  say(`kill -9 ${when}: ${rounds} rounds, ${more}, ${faults.length} lost, doubled or locked out`);
  for (const fault of faults.slice(0, 10)) say(`  ${fault}`);
}
