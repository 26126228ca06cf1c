import { type AlarmKind } from '@hoddle/core/kitchen/alarms';

/** One tone of a call: pitch in hertz, from and for so many seconds. */
type Tone = readonly [hertz: number, at: number, seconds: number];

/**
 * Calls that are told apart without looking: the end of a tested time is high and urgent, a rest is two falling tones, a
 * stir is two knocks. Drawn by the page itself, so that they are there without a network.
 */
const CALLS: Readonly<Record<AlarmKind, readonly Tone[]>> = {
  'time-up': [
    [988, 0, 0.18],
    [1319, 0.22, 0.18],
    [988, 0.44, 0.18],
    [1319, 0.66, 0.4],
  ],
  'rest-over': [
    [880, 0, 0.3],
    [587, 0.35, 0.5],
  ],
  'vent-over': [
    [587, 0, 0.3],
    [880, 0.35, 0.5],
  ],
  'step-over': [
    [659, 0, 0.25],
    [784, 0.3, 0.25],
    [659, 0.6, 0.3],
  ],
  ask: [
    [523, 0, 0.2],
    [659, 0.25, 0.35],
  ],
  stir: [
    [392, 0, 0.12],
    [392, 0.2, 0.12],
  ],
  thermometer: [
    [440, 0, 0.12],
    [440, 0.2, 0.12],
    [440, 0.4, 0.12],
  ],
  start: [[523, 0, 0.6]],
  look: [
    [880, 0, 0.2],
    [880, 0.3, 0.2],
  ],
  'boil-found': [
    [523, 0, 0.2],
    [659, 0.22, 0.2],
    [784, 0.44, 0.4],
  ],
  'boil-lost': [
    [1175, 0, 0.2],
    [880, 0.22, 0.2],
    [587, 0.44, 0.5],
  ],
  'too-cool': [
    [587, 0, 0.2],
    [440, 0.25, 0.4],
  ],
  'too-hot': [
    [440, 0, 0.2],
    [587, 0.25, 0.4],
  ],
  'under-pressure': [
    [1175, 0, 0.2],
    [587, 0.25, 0.5],
  ],
  'jars-wait': [
    [784, 0, 0.2],
    [523, 0.25, 0.4],
  ],
};

/** Milliseconds on, off, on: what a hand feels through an apron. */
const SHAKES: Readonly<Partial<Record<AlarmKind, readonly number[]>>> = {
  'time-up': [400, 150, 400, 150, 400],
  'rest-over': [300, 150, 300],
  'boil-lost': [400, 150, 400, 150, 400],
  'under-pressure': [400, 150, 400],
};

let context: AudioContext | undefined;

/** Whether the browser lets the page be heard: most want a touch first, and again after the page was opened anew. */
export function canBeHeard(): boolean {
  return context?.state === 'running';
}

/** Lets the page be heard; to be called from a touch. */
export async function openSound(): Promise<void> {
  if (typeof AudioContext === 'undefined') return;
  context ??= new AudioContext();
  await context.resume().catch(() => undefined);
}

/** A browser lets a page shake the phone once it was touched. */
function mayShake(): boolean {
  return typeof navigator !== 'undefined' && 'vibrate' in navigator && navigator.userActivation?.hasBeenActive === true;
}

/** Sounds and shakes once. Silence where the browser allows neither. */
export function call(kind: AlarmKind): void {
  if (mayShake()) navigator.vibrate([...(SHAKES[kind] ?? [200])]);
  if (!context || context.state !== 'running') return;
  for (const [hertz, at, seconds] of CALLS[kind]) {
    const from = context.currentTime + at;
    const voice = context.createOscillator();
    const loudness = context.createGain();
    voice.type = 'triangle';
    voice.frequency.value = hertz;
    // Swells and fades, or the speaker clicks.
    loudness.gain.setValueAtTime(0, from);
    loudness.gain.linearRampToValueAtTime(0.5, from + 0.02);
    loudness.gain.linearRampToValueAtTime(0, from + seconds);
    voice.connect(loudness).connect(context.destination);
    voice.start(from);
    voice.stop(from + seconds);
  }
}
