import { type Batch, isCanned, ofLoad } from '../../day/batch';
import { JARS } from '../../handbook/jars';
import { type DateStyle, dateWords, monthWords } from '../../measure/dateWords';
import { type JarLot } from '../../pantry/jarLot';
import { type BestMonths, keepsUntilOf, readyFrom } from '../../pantry/keepsUntil';
import { type PlaceKind } from '../../pantry/place';
import { type Method } from '../../process/method';
import { type Allergen } from '../../recipe/allergensOf';
import { recipeName } from '../../recipe/recipeName';
import { type JarLabel } from './layLabel';

/** What a household may want on a label besides. */
export interface LabelExtras {
  /** In its own words, two lines and more. */
  readonly note?: string;
  readonly allergens?: readonly Allergen[];
  /** What one jar holds; as it stands on the scale, or by the jar. */
  readonly netWeight?: string;
  /** What its local rules ask a label of what is sold to say. */
  readonly statement?: string;
}

export interface LabelGround {
  readonly placeKind: PlaceKind;
  readonly bestMonths: BestMonths;
  readonly dates: DateStyle;
  /** The code of the lot, as it is written on a lid. */
  readonly code: string;
  /** The batch of its load, where that was planned here. */
  readonly batch?: Batch;
  /** Where this household's jars are found: "http://192.168.1.20:4860"; no code is drawn without. */
  readonly base?: string;
}

const METHOD_SHORT: Readonly<Record<Method, string>> = {
  'boiling-water': 'Boiling water',
  steam: 'Steam canner',
  'pressure-dial': 'Pressure canner',
  'pressure-weighted': 'Pressure canner',
  'low-temperature-bath': 'Low-temperature bath',
};

/** What a label of a jar says: what it is, when it was made, until when it is at its best, how it was processed. */
export function jarLabelOf(lot: JarLot, ground: LabelGround, extras: LabelExtras = {}): JarLabel {
  const { code, dates, base } = ground;
  const readyAt = readyFrom(lot);
  const isWaiting = readyAt > lot.madeAt + 24 * 60 * 60_000;
  return {
    name: recipeName(lot),
    lines: [
      `Made ${dateWords(lot.madeAt, dates)}`,
      keepsLine(lot, ground),
      ...(isWaiting ? [`Ready ${dateWords(readyAt, dates)}`] : []),
      processLine(lot, ground.batch),
    ],
    code,
    small: [
      ...(extras.note ?? '').split('\n'),
      extras.allergens && extras.allergens.length > 0 ? `Contains ${extras.allergens.join(', ')}` : '',
      extras.netWeight ?? '',
      extras.statement ?? '',
    ],
    ...(base !== undefined && { address: jarAddress(base, code) }),
  };
}

function keepsLine(lot: JarLot, { placeKind, bestMonths, dates }: LabelGround): string {
  const at = keepsUntilOf(lot, bestMonths);
  if (lot.seal === 'sealed') return `Best by ${monthWords(at, dates)}`;
  return placeKind === 'freezer'
    ? `Frozen, best by ${monthWords(at, dates)}`
    : `Keep cold, use by ${dateWords(at, dates)}`;
}

/** "Boiling water, 45 min": by the batch as it was done; nothing for what no seal keeps, or was not made here. */
function processLine(lot: JarLot, batch: Batch | undefined): string {
  const load = batch?.loads.find(({ id }) => id === lot.loadId);
  if (!batch || !load || lot.seal !== 'sealed') return '';
  const done = ofLoad(batch, load);
  if (!isCanned(done) || done.processMinutes === 0) return '';
  const pressure = done.pressurePsi === undefined ? '' : `, ${done.pressurePsi} psi`;
  return `${METHOD_SHORT[done.method]}, ${done.processMinutes} min${pressure}`;
}

/**
 * The address a drawn code leads to. In capitals all through, which a QR code holds in half the room (ISO/IEC 18004, alphanumeric
 * mode); scheme and host are the same in either case, and so is this path.
 */
export function jarAddress(base: string, code: string): string {
  return `${base.replace(/\/+$/, '')}/j/${code}`.toUpperCase();
}

/** Labels as lines to write by hand: nobody needs a printer. */
export function labelsByHand(
  labels: readonly { readonly label: JarLabel; readonly jars: number; readonly lot: Pick<JarLot, 'jar'> }[],
): string {
  return labels
    .map(({ label, jars, lot }) => {
      const { one, several } = JARS[lot.jar];
      const lines = [label.name, ...label.lines, label.code, ...label.small].filter((line) => line.trim() !== '');
      return `${jars} ${jars === 1 ? one : several}:\n${lines.map((line) => `  ${line}`).join('\n')}`;
    })
    .join('\n\n');
}
