import { Chance } from './chance';
import { closedDemoFile, killedDemoFile, newFolder } from './demoFile';
import { flipOne } from './flipBytes';
import { say, SEED } from './report';

const FLIPS = 400;

/** One bit of one byte changed in a file as a stopped server leaves it, and as a killed one does. */
export async function benchFlips(): Promise<boolean> {
  const [closed, killed] = [await closedDemoFile(), await killedDemoFile()];
  const chance = new Chance(SEED);
  const folder = newFolder();
  const counts = new Map<string, number>();
  const missed = [];
  for (let n = 0; n < FLIPS; n++) {
    const { file, sum } = n % 2 === 0 ? closed : killed;
    const flip = await flipOne(file, folder, n, sum, chance);
    counts.set(flip.outcome, (counts.get(flip.outcome) ?? 0) + 1);
    if (flip.outcome === 'missed') missed.push(flip);
  }
  say(
    `byte flips: ${FLIPS - missed.length} of ${FLIPS} noticed or harmless (${[...counts].map(([what, count]) => `${count} ${what}`).join(', ')})`,
  );
  for (const { part, offset, bit, words } of missed) say(`  missed: ${part} at ${offset}, bit ${bit} ${words}`);
  return missed.length === 0;
}
