import { type RadioReading, readTemperature, readWeight } from '@hoddle/core/instruments/radioProfiles';

/** As far as browsers have them; most have neither. */
interface Radio {
  requestDevice(asked: object): Promise<RadioDevice>;
}
interface RadioDevice {
  readonly id: string;
  readonly name?: string;
  readonly gatt?: { connect(): Promise<{ getPrimaryService(service: number): Promise<RadioService> }> };
}
interface RadioService {
  getCharacteristic(id: number): Promise<RadioValue>;
}
interface RadioValue extends EventTarget {
  readonly value?: DataView;
  startNotifications(): Promise<unknown>;
}
interface Wire {
  requestPort(): Promise<{
    open(how: object): Promise<void>;
    readonly readable: ReadableStream<Uint8Array<ArrayBuffer>>;
  }>;
}

const device = () => globalThis.navigator as Navigator & { readonly bluetooth?: Radio; readonly serial?: Wire };

export const hasRadio = (): boolean => device()?.bluetooth !== undefined;
export const hasWire = (): boolean => device()?.serial !== undefined;

/** Bluetooth SIG, Assigned Numbers. */
const PROFILES = [
  { service: 0x18_1d, value: 0x2a_9d, read: readWeight, kind: 'kitchen-scale', step: { kg: 0.005, lb: 0.01 } },
  { service: 0x18_09, value: 0x2a_1c, read: readTemperature, kind: 'probe', step: { C: 0.1, F: 0.1 } },
] as const;

/** What this browser hears goes to the server like any other instrument's lines, as the device that it is. */
async function line(): Promise<(told: object) => void> {
  const scheme = window.location.protocol === 'https:' ? 'wss' : 'ws';
  const socket = new WebSocket(`${scheme}://${window.location.host}/instruments`);
  await new Promise<void>((is, not) => {
    socket.onopen = () => socket.send(JSON.stringify({ type: 'hello' }));
    socket.onmessage = ({ data }: MessageEvent<string>) => {
      const told = JSON.parse(data) as { type: string; message?: string };
      if (told.type === 'welcome') is();
      else if (told.type === 'refused') not(new Error(told.message));
    };
    socket.onerror = () => not(new Error('The server cannot be reached from here.'));
  });
  return (told) => socket.readyState === WebSocket.OPEN && socket.send(JSON.stringify(told));
}

/** A scale or thermometer of a standard radio profile. @throws where none was chosen or it cannot be heard */
export async function listenByRadio(): Promise<string> {
  const radio = device().bluetooth;
  if (!radio) throw new Error('This browser has no radio.');
  const found = await radio.requestDevice({
    filters: PROFILES.map(({ service }) => ({ services: [service] })),
  });
  const server = await found.gatt?.connect();
  const say = await line();
  for (const { service, value, read, kind, step } of PROFILES) {
    const told = await server
      ?.getPrimaryService(service)
      .then((own) => own.getCharacteristic(value))
      .catch(() => undefined);
    if (!told) continue;
    let announced: RadioReading['unit'] | undefined;
    told.addEventListener('characteristicvaluechanged', () => {
      const reading = told.value && read(told.value);
      if (!reading) return;
      const { unit } = reading;
      const id = `${found.id} ${value}`.slice(0, 64);
      const name = (found.name ?? 'Without a name').slice(0, 40);
      if (announced !== unit) {
        say({ type: 'announce', id, name, kind, unit, step: (step as Record<string, number>)[unit], at: Date.now() });
      }
      announced = unit;
      say({ type: 'reading', id, at: Date.now(), value: reading.value });
    });
    await told.startNotifications();
  }
  return found.name ?? 'It';
}

/** An instrument on a cable that writes the lines of docs/devices.md itself. @throws where none was chosen */
export async function listenByWire(): Promise<string> {
  const wire = device().serial;
  if (!wire) throw new Error('This browser has no cable.');
  const port = await wire.requestPort();
  await port.open({ baudRate: 115_200 });
  const say = await line();
  const lines = port.readable.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  void (async () => {
    for (;;) {
      const { value, done } = await lines.read();
      if (done) return;
      const parts = (rest + value).split('\n');
      rest = (parts.pop() ?? '').slice(-2_048);
      for (const part of parts) {
        try {
          say(JSON.parse(part) as object);
        } catch {
          // Half a line at the beginning: the next one is whole.
        }
      }
    }
  })();
  return 'What is on the cable';
}
