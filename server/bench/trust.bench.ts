import { benchBackups } from './trust/benchBackups';
import { benchFlips } from './trust/benchFlips';
import { benchKills } from './trust/benchKills';
import { benchLoad } from './trust/benchLoad';
import { benchLarge } from './trust/benchLarge';
import { benchRequests } from './trust/benchRequests';
import { machine, say } from './trust/report';

/** Attacks on the household's data, and how long reading takes. Words after the file's name choose some of them. */
const PARTS = {
  ...{
    requests: benchRequests,
    flips: benchFlips,
    backups: benchBackups,
    load: benchLoad,
    large: benchLarge,
    kills: benchKills,
  },
};

say(machine());
const wanted = process.argv.slice(3);
let ok = true;
for (const [name, bench] of Object.entries(PARTS)) {
  if (wanted.length === 0 || wanted.includes(name)) ok = (await bench()) && ok;
}
process.exit(ok ? 0 : 1);
