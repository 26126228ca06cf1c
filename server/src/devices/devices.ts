import { createInterface } from 'node:readline';
import { parseArgs } from 'node:util';
import { WebSocket } from 'ws';
import { SOCKET_PATH } from '../instruments/socketDoor';
import { HELP, SimulatedDevices } from './simulatedDevices';
import { INSTRUMENTS, SimulatedKitchen, USUAL_FAULTS } from './simulatedKitchen';

/**
 * `npm run devices`: scales and probes of a kitchen that is not there, for the demo and for whoever builds a real one. They speak
 * the protocol of docs/devices.md over WebSocket; what happens in their kitchen is typed, a line each.
 */
const { values } = parseArgs({
  options: {
    url: { type: 'string', default: `ws://127.0.0.1:${process.env.PORT ?? 4860}${SOCKET_PATH}` },
    key: { type: 'string' },
    pair: { type: 'string' },
    seed: { type: 'string', default: String(USUAL_FAULTS.seed) },
    altitude: { type: 'string', default: String(USUAL_FAULTS.altitudeFt) },
    noise: { type: 'string', default: String(USUAL_FAULTS.noiseF) },
    drift: { type: 'string', default: '0' },
    lost: { type: 'string', default: '0' },
    swapped: { type: 'boolean', default: false },
    stuck: { type: 'string' },
    dropouts: { type: 'boolean', default: false },
    'clock-off': { type: 'string', default: '0' },
    since: { type: 'string', default: '0' },
  },
});

const kitchen = new SimulatedKitchen({
  ...{ seed: Number(values.seed), altitudeFt: Number(values.altitude), noiseF: Number(values.noise) },
  ...{ driftFPerHour: Number(values.drift), lost: Number(values.lost), swapped: values.swapped },
});
const socket = new WebSocket(values.url);
const say = (line: object) => socket.readyState === WebSocket.OPEN && socket.send(JSON.stringify(line));
const devices = new SimulatedDevices(kitchen, say, {
  ...{ clockOffMs: Number(values['clock-off']) * 60_000, dropouts: values.dropouts },
  sinceMs: Number(values.since) * 60_000,
});

socket.on('error', (error) => {
  process.stderr.write(`Nobody is there at ${values.url}: ${error.message}\n`);
  process.exit(1);
});
socket.on('close', () => process.exit(0));
socket.on('open', () => {
  if (values.pair === undefined) say({ type: 'hello', ...(values.key !== undefined && { key: values.key }) });
  else say({ type: 'pair', code: values.pair, name: 'Simulated kitchen' });
});
socket.on('message', (data: Buffer) => {
  const told = JSON.parse(data.toString('utf8')) as { type: string; key?: string; message?: string; why?: string };
  if (told.type === 'refused') {
    process.stderr.write(`${told.message}\n`);
    process.exit(1);
  }
  if (told.key !== undefined) process.stdout.write(`Paired. Next time: --key ${told.key}\n`);
  if (told.type === 'set-aside') process.stdout.write(`Set aside: ${told.why}\n`);
  if (told.type !== 'welcome' && told.type !== 'paired') return;
  if (values.stuck !== undefined) kitchen.stick(values.stuck);
  devices.start();
  process.stdout.write(`${INSTRUMENTS.length} instruments speak to ${values.url}.\n${HELP}\n`);
});

createInterface({ input: process.stdin }).on('line', (line) => {
  if (!devices.happen(line)) process.stdout.write(`${HELP}\n${INSTRUMENTS.map(({ id }) => id).join(', ')}\n`);
});
