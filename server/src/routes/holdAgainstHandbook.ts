import { type Batch, type CannedBatch, isCanned, ofLoad } from '@hoddle/core/day/batch';
import { findCard, isOffered } from '@hoddle/core/handbook/cards';
import { isOwnProduct } from '@hoddle/core/handbook/ownIds';
import { changesOfBatch } from '@hoddle/core/process/changesOfBatch';
import { findProcess, type HouseholdPages } from '@hoddle/core/process/findProcess';
import { outputRule, outputsOf } from '@hoddle/core/recipe/potOutputs';
import { Problem } from '../problem';

/**
 * A batch may be processed longer than tested, never shorter or at less pressure, and never where nothing is tested or the
 * formula is changed.
 */
export function holdAgainstHandbook(batch: Batch, pages: HouseholdPages): void {
  const card = batch.recipe === undefined ? undefined : findCard(batch.recipe);
  if (card && (card.product !== batch.product || !isOffered(card))) {
    throw new Problem(422, 'not-tested', `The recipe ${card.card} is not one of this product.`);
  }
  if (isOwnProduct(batch.product) && !card)
    throw new Problem(422, 'no-recipe', 'That recipe is not written down here.');
  holdAgainstPots(batch);
  const foreign = batch.loads.find(({ recipe }) => recipe !== undefined && findCard(recipe)?.product !== batch.product);
  if (foreign) throw new Problem(422, 'no-recipe', 'A load is of a recipe that is not written down here.');
  if (!isCanned(batch)) {
    if (batch.processMinutes === 0 && batch.cannerId === '' && batch.againOf === undefined) return;
    throw new Problem(422, 'kept-cold', 'What is kept cold goes into no canner.');
  }
  if (batch.cannerId === '') throw new Problem(422, 'no-canner', 'Jars that are processed need a canner.');
  holdTime(batch, pages);
  holdSizes(batch, pages);
}

/** Loads in jars of another size are held against the time of those. */
export function holdSizes(batch: Batch, pages: HouseholdPages): void {
  if (!isCanned(batch)) return;
  for (const load of batch.loads) if (load.size) holdTime(ofLoad(batch, load), pages);
}

function holdTime(batch: CannedBatch, pages: HouseholdPages): void {
  const changes = batch.ingredients ? changesOfBatch(batch.product, batch.ingredients, batch.recipe) : [];
  const tested = findProcess(batch, pages, changes);
  if (tested.kind === 'refusal') {
    const code = tested.cause === 'changed' ? 'changed' : 'not-tested';
    throw new Problem(422, code, `${tested.reason} Instead: ${tested.instead.join(', ')}.`);
  }
  if (tested.pressurePsi !== undefined && (batch.pressurePsi ?? 0) < tested.pressurePsi) {
    const message = `The tested pressure is ${tested.pressurePsi} psi at ${batch.altitudeFt} ft; ${batch.pressurePsi ?? 'none'} is too low.`;
    throw new Problem(422, 'too-low', message, { pressurePsi: message });
  }
  if (batch.processMinutes >= tested.minutes) return;
  const message = `The tested time is ${tested.minutes} min at ${batch.altitudeFt} ft; ${batch.processMinutes} min is too short.`;
  throw new Problem(422, 'too-short', message, { processMinutes: message });
}

/** Only what a pot gives is taken off it, and becomes the product that is tested for it. */
function holdAgainstPots({ product, gives = [], from, uses }: Batch): void {
  const given = outputsOf(product).map(({ kind }) => kind);
  if (gives.some((kind) => !given.includes(kind)))
    throw new Problem(422, 'no-output', 'Nothing of that kind is taken off this product.');
  if (!from) return;
  if (outputRule(from.kind).feeds !== product)
    throw new Problem(422, 'no-output', 'What comes off that pot is tested as another product.');
  if (uses.length > 0) throw new Problem(422, 'no-output', 'What begins with another pot takes no produce of its own.');
}
