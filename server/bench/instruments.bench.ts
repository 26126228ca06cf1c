import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as after } from 'node:timers/promises';
import { machine, say } from './trust/report';

/** What 40 instruments at ten readings a second cost the server, and whether anything of it is dropped. Asked: under 10 % of a core, nothing. */
const DEVICES = 40;
const A_SECOND = 10;
const SECONDS = 20;
/** Ticks of the kernel's clock in a second, on every Linux of today. */
const TICKS = 100;

say(machine());
const port = 20_000 + (process.pid % 20_000);
const server = spawn(process.execPath, ['server/dist/main.js'], {
  env: {
    ...process.env,
    ...{ PORT: String(port), HODDLE_DB: join(mkdtempSync(join(tmpdir(), 'hoddle-')), 'household.sqlite') },
  },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await once(server.stdout, 'data');
const ask = async () => (await (await fetch(`http://127.0.0.1:${port}/api/instruments`)).json()) as Told;

interface Told {
  readonly instruments: readonly {
    readonly id: string;
    readonly setAside: Readonly<Record<string, number>>;
    readonly last?: { readonly value: number };
  }[];
}

const wires = await Promise.all(
  Array.from({ length: DEVICES }, async (_, i) => {
    const wire = connect(port + 1, '127.0.0.1');
    await once(wire, 'connect');
    const tell = (line: object) => wire.write(`${JSON.stringify(line)}\n`);
    tell({ type: 'hello' });
    await once(wire, 'data');
    tell({ type: 'announce', id: `p${i}`, name: `Probe ${i}`, kind: 'probe', unit: 'F', step: 0.1, at: Date.now() });
    return { wire, tell, id: `p${i}` };
  }),
);
const usedMs = () => {
  const fields = readFileSync(`/proc/${server.pid}/stat`, 'utf8').split(') ')[1]?.split(' ') ?? [];
  return ((Number(fields[11]) + Number(fields[12])) * 1_000) / TICKS;
};
await after(1_000);
const [before, began] = [usedMs(), Date.now()];
let sent = 0;
for (let k = 0; k < SECONDS * A_SECOND; k++) {
  await after(Math.max(0, began + (k * 1_000) / A_SECOND - Date.now()));
  // The number of the reading is its value: the last one says whether it came.
  for (const { tell, id } of wires) tell({ type: 'reading', id, at: Date.now(), value: 100 + k / 10 });
  sent += wires.length;
}
const [used, took] = [usedMs() - before, Date.now() - began];
await after(2_000);
const { instruments } = await ask();
const lastOnes = instruments.filter(({ last }) => last?.value === 100 + (SECONDS * A_SECOND - 1) / 10).length;
const aside = instruments.reduce((sum, { setAside }) => sum + Object.values(setAside).reduce((a, b) => a + b, 0), 0);
for (const { wire } of wires) wire.destroy();
server.kill();
const part = used / took;
say(
  `${DEVICES} instruments, ${sent} readings in ${Math.round(took / 1_000)} s: ${(100 * part).toFixed(1)} % of a core`,
);
say(`last reading there of ${lastOnes} of ${DEVICES}, ${aside} set aside`);
process.exit(part < 0.1 && lastOnes === DEVICES && aside === 0 ? 0 : 1);
