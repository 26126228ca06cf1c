import { dealtDraws } from '../src/instruments/simulated/dealtDraws';
import { watchHeatUp } from '../src/instruments/simulated/heatUp';
import { machineWords, say } from './report';

const SEED = 24;
const RUNS = 1_000;

const percent = (part: number, whole: number) => `${((100 * part) / whole).toFixed(1)} %`;

say(machineWords(SEED));
say(`Boils found in ${RUNS} simulated heat-ups, noise 1 F:`);
for (const [words, how] of [
  ['ten readings a second, drifting up to 2 F an hour', {}],
  ['ten readings a second, off by up to 2 F from the beginning', { isOff: true }],
  ['one reading a second, drifting up to 2 F an hour', { readings: 1 }],
] as const) {
  const dealt = dealtDraws(SEED);
  const seen = Array.from({ length: RUNS }, (_, run) => watchHeatUp(dealt(50_000 + run), how));
  const boiled = seen.filter((each) => each.boiled < Infinity);
  const late = boiled.map((each) => each.told - each.boiled).sort((a, b) => a - b);
  const within = late.filter((seconds) => seconds <= 60).length;
  const never = late.filter((seconds) => seconds === Infinity).length;
  const early = seen.filter(({ told, boiled: at, underF }) => told < Infinity && (at > told || underF > 0)).length;
  const found = `${percent(within, late.length)} of ${late.length} within 60 s, half in ${late[late.length >> 1]} s`;
  say(`  ${words}: ${early} false starts; ${found}, ${percent(never, late.length)} not within 120 s`);
}
