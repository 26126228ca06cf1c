import { findCard, isOffered } from '../handbook/cards';
import { isOwnProduct } from '../handbook/ownIds';
import { changesOfBatch } from '../process/changesOfBatch';
import { findProcess, type HouseholdPages } from '../process/findProcess';
import { outputRule, outputsOf } from '../recipe/potOutputs';
import { type Batch, type CannedBatch, isCanned, ofLoad } from './batch';
import { type Fault, firstFault } from './fault';

/**
 * What keeps a batch from being planned: it may be processed longer than tested, never shorter or at less pressure, and never
 * where nothing is tested or the formula is changed. Only what a pot gives is taken off it, and becomes what is tested for it.
 *
 * @returns undefined where nothing does
 */
export function batchFault(batch: Batch, pages: HouseholdPages): Fault | undefined {
  return firstFault(
    () => cardFault(batch),
    () => potFault(batch),
    () => loadCardFault(batch),
    () => cannerFault(batch),
    () => (isCanned(batch) ? timeFault(batch, pages) : undefined),
    () => loadSizesFault(batch, pages),
  );
}

/** Loads in jars of another size are held against the time of those. */
export function loadSizesFault(batch: Batch, pages: HouseholdPages): Fault | undefined {
  if (!isCanned(batch)) return undefined;
  const others = batch.loads.filter(({ size }) => size !== undefined);
  return firstFault(...others.map((load) => () => timeFault(ofLoad(batch, load), pages)));
}

function cardFault({ product, recipe }: Batch): Fault | undefined {
  const card = recipe === undefined ? undefined : findCard(recipe);
  if (card && (card.product !== product || !isOffered(card)))
    return { code: 'not-tested', sentence: `The recipe ${card.card} is not one of this product.` };
  if (isOwnProduct(product) && !card) return { code: 'no-recipe', sentence: 'That recipe is not written down here.' };
  return undefined;
}

function potFault({ product, gives = [], from, uses }: Batch): Fault | undefined {
  const given = outputsOf(product).map(({ kind }) => kind);
  const code = 'no-output';
  if (gives.some((kind) => !given.includes(kind)))
    return { code, sentence: 'Nothing of that kind is taken off this product.' };
  if (!from) return undefined;
  if (outputRule(from.kind).feeds !== product)
    return { code, sentence: 'What comes off that pot is tested as another product.' };
  if (uses.length > 0) return { code, sentence: 'What begins with another pot takes no produce of its own.' };
  return undefined;
}

function loadCardFault({ product, loads }: Batch): Fault | undefined {
  const isForeign = loads.some(({ recipe }) => recipe !== undefined && findCard(recipe)?.product !== product);
  if (!isForeign) return undefined;
  return { code: 'no-recipe', sentence: 'A load is of a recipe that is not written down here.' };
}

function cannerFault(batch: Batch): Fault | undefined {
  if (isCanned(batch)) {
    if (batch.cannerId !== '') return undefined;
    return { code: 'no-canner', sentence: 'Jars that are processed need a canner.' };
  }
  if (batch.processMinutes === 0 && batch.cannerId === '' && batch.againOf === undefined) return undefined;
  return { code: 'kept-cold', sentence: 'What is kept cold goes into no canner.' };
}

function timeFault(batch: CannedBatch, pages: HouseholdPages): Fault | undefined {
  const { altitudeFt, pressurePsi, processMinutes } = batch;
  const changes = batch.ingredients ? changesOfBatch(batch.product, batch.ingredients, batch.recipe) : [];
  const tested = findProcess(batch, pages, changes);
  if (tested.kind === 'refusal') {
    const code = tested.cause === 'changed' ? 'changed' : 'not-tested';
    return { code, sentence: `${tested.reason} Instead: ${tested.instead.join(', ')}.` };
  }
  if (tested.pressurePsi !== undefined && (pressurePsi ?? 0) < tested.pressurePsi) {
    const sentence = `The tested pressure is ${tested.pressurePsi} psi at ${altitudeFt} ft; ${pressurePsi ?? 'none'} is too low.`;
    return { code: 'too-low', sentence, field: 'pressurePsi' };
  }
  if (processMinutes >= tested.minutes) return undefined;
  const sentence = `The tested time is ${tested.minutes} min at ${altitudeFt} ft; ${processMinutes} min is too short.`;
  return { code: 'too-short', sentence, field: 'processMinutes' };
}
