import { type Batch, isCanned, jarCounts, ofLoad } from '../../day/batch';
import { cannerWords } from '../../day/cannerWords';
import { type Card } from '../../handbook/cards/card';
import { JARS, type JarSize } from '../../handbook/jars';
import { findProduct } from '../../handbook/products';
import { usualPack } from '../../handbook/usualPack';
import { findTestedRow, type HouseholdPages, processAt, testedMethods } from '../../process/findProcess';
import { METHOD_WORDS } from '../../process/method';
import { type TestedRow } from '../../process/testedRow';

/** How the jars of a card are processed: what is tested for each size, and the minutes here in words; or why there are none. */
export interface CardProcess {
  readonly rows: readonly { readonly jar: JarSize; readonly row: TestedRow }[];
  readonly words: readonly string[];
  readonly isCold?: true;
}

/** As a batch was planned: each size with its own minutes. */
export function processOfBatch(batch: Batch, pages: HouseholdPages): CardProcess {
  if (!isCanned(batch)) return { rows: [], words: [`${cannerWords(batch).process}.`], isCold: true };
  const sizes = jarCounts(batch).map(({ jar }) => jar);
  const rows = sizes.flatMap((jar) => {
    const row = findTestedRow({ ...batch, jar }, pages);
    return row.kind === 'testedRow' ? [{ jar, row }] : [];
  });
  const words = sizes.map((jar) => {
    const load = batch.loads.find(({ size }) => (size?.jar ?? batch.jar) === jar);
    const { process } = cannerWords(load ? ofLoad(batch, load) : batch);
    const of = sizes.length > 1 ? ` for ${JARS[jar].several}` : '';
    return `${process}${of}, looked up for ${batch.altitudeFt.toLocaleString('en-US')} ft.`;
  });
  return { rows, words };
}

/** The first way that is tested for a card in a size of jar at an altitude; a household that has not set one is told so. */
export function processOfCard(card: Card, jar: JarSize, altitudeFt: number | null, pages: HouseholdPages): CardProcess {
  const product = findProduct(card.product);
  if (altitudeFt === null) return { rows: [], words: ['Its minutes go by the altitude: set the kitchen’s first.'] };
  let why = 'Nothing is tested for it in these jars.';
  for (const method of product ? testedMethods(product) : []) {
    const row = findTestedRow(
      { product: card.product, pack: product ? usualPack(product) : 'hot', jar, method },
      pages,
    );
    const here = row.kind === 'testedRow' ? processAt(row, altitudeFt, pages.checkedRows) : row;
    if (here.kind === 'refusal' || row.kind !== 'testedRow') {
      if (here.kind === 'refusal') why = here.reason;
      continue;
    }
    const pressure = here.pressurePsi === undefined ? '' : ` at ${here.pressurePsi} psi`;
    const from = `looked up for ${altitudeFt.toLocaleString('en-US')} ft`;
    return { rows: [{ jar, row }], words: [`${here.minutes} min${pressure} ${METHOD_WORDS[method]}, ${from}.`] };
  }
  return { rows: [], words: [why] };
}
