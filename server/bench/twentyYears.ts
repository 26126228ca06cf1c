import { type JarSize } from '@hoddle/core/handbook/jars';
import { type ProductId } from '@hoddle/core/handbook/products';
import { findProcess } from '@hoddle/core/process/findProcess';
import { sumOf } from '../src/backup/householdData';

const DAY = 24 * 60 * 60_000;
const YEARS = 20;
const LOADS_A_YEAR = 50;
const JARS_A_LOAD = 8;
/** Jars of the last loads that are still there: a full shelf. */
const STANDING = 2_000;

// prettier-ignore
const PRODUCTS = [
  'tomatoes-crushed', 'tomatoes-whole-in-water', 'tomato-sauce-thin', 'tomato-juice', 'plums', 'applesauce', 'peaches',
  'pickled-beets', 'dilled-beans', 'bread-and-butter-pickles', 'jam-with-pectin', 'jam-no-pectin', 'jelly-no-pectin',
  'tomatillo-green-salsa', 'rhubarb-stewed', 'cherries-whole', 'pears-halved', 'pickled-carrots', 'green-tomato-relish',
  'sauerkraut', 'grape-juice', 'apple-juice', 'apricots', 'tomato-ketchup', 'pickled-cauliflower',
] as const satisfies readonly ProductId[];
const SIZES = ['quart', 'pint', 'half-pint'] as const satisfies readonly JarSize[];

/** What was tested of these in boiling water at 3,420 ft, with its minutes. */
const TESTED = PRODUCTS.flatMap((product) =>
  SIZES.flatMap((jar) => {
    const asked = { product, jar, pack: 'hot', method: 'boiling-water', altitudeFt: 3_420 } as const;
    const found = findProcess(asked);
    return found.kind === 'refusal' ? [] : [{ ...asked, processMinutes: found.minutes }];
  }),
);

interface Backup {
  sha256: string;
  data: Record<string, unknown> & { lots: object[]; movements: object[]; batches: object[]; events: object[] };
}

/** The same numbers every time; a step of the minimal standard generator (Park and Miller 1988). */
function numbers(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}

/**
 * Twenty years of a large household as a backup: a thousand loads with what happened to them, 8,000 jars and 60,000
 * movements (or so many as are asked for), 2,000 jars on the shelf. Invented, laid over a backup of an empty household.
 */
export function twentyYears<File extends Backup>(empty: File, now: number, most = 60_000): File {
  const random = numbers(20_260_829);
  let ids = 0;
  const id = () => {
    ids += 1;
    return `0198f3a0-0000-7000-9000-${ids.toString(16).padStart(12, '0')}`;
  };
  const batches: object[] = [];
  const events: object[] = [];
  const lots: { id: string; [part: string]: unknown }[] = [];
  const movements: { id: string; [part: string]: unknown }[] = [];
  const loads = YEARS * LOADS_A_YEAR;
  const gone: { lot: { id: string }; from: number; madeAt: number }[] = [];
  for (let n = 0; n < loads; n++) {
    const year = Math.floor(n / LOADS_A_YEAR);
    const madeAt = Math.round(now - (YEARS - year) * 365 * DAY + (60 + 90 * ((n % LOADS_A_YEAR) / LOADS_A_YEAR)) * DAY);
    const tested = TESTED[n % TESTED.length];
    if (!tested) throw new RangeError('nothing of it is tested');
    const { product, jar } = tested;
    const loadId = id();
    batches.push({
      ...{ id: id(), ...tested },
      ...{
        cannerId: id(),
        startAt: madeAt - 3 * 3_600_000,
        uses: [],
        loads: [{ id: loadId, number: 1, jars: JARS_A_LOAD }],
      },
    });
    const lot = {
      ...{ id: id(), loadId, product, jar, place: 'shelf', seal: 'sealed', madeAt, keepsUntil: madeAt + 365 * DAY },
    };
    const told = (type: string, hours: number, more = {}) =>
      events.push({ id: id(), loadId, type, at: madeAt + Math.round(hours * 3_600_000), ...more });
    told('load-started', -1.5, { jars: JARS_A_LOAD });
    told('boil-reached', -1);
    told('heat-off', 0);
    told('jars-out', 0.1);
    told('seal-checked', 16, { sealed: Array(JARS_A_LOAD).fill(true), sealedLotId: lot.id, unsealedLotId: id() });
    lots.push(lot);
    movements.push({ id: lot.id, lotId: lot.id, kind: 'stored', jars: JARS_A_LOAD, at: madeAt + 16 * 3_600_000 });
    if (n >= loads - STANDING / JARS_A_LOAD) continue;
    for (let i = 0; i < JARS_A_LOAD; i++) gone.push({ lot, from: madeAt + 30 * DAY, madeAt });
  }
  for (const { lot, from } of gone) {
    const at = Math.round(from + random() * 320 * DAY);
    movements.push({ id: id(), lotId: lot.id, kind: random() < 0.1 ? 'given' : 'taken', jars: 1, at });
  }
  // Slips of the finger, undone: what fills the rest of a long-kept book.
  while (movements.length + 2 <= most) {
    const lot = lots[Math.floor(random() * lots.length)];
    if (!lot) break;
    const at = Math.round((lot.madeAt as number) + DAY + random() * 20 * DAY);
    const slip = { id: id(), lotId: lot.id, kind: 'taken', jars: 1, at };
    movements.push(slip, { id: id(), lotId: lot.id, kind: 'undone', jars: 1, at: at + 5_000, undoes: slip.id });
  }
  const known = movements.filter(({ at }) => (at as number) < now);
  const data = { ...empty.data, batches, events, dayEvents: [], lots, movements: known };
  return { ...empty, sha256: sumOf(data), data };
}
