/** A recipe of the household's own as a product: its UUID behind a word that no product of the handbook begins with. */
export type OwnProductId = `own:${string}`;

export function ownProductId(recipeId: string): OwnProductId {
  return `own:${recipeId}`;
}

export function isOwnProduct(product: string): product is OwnProductId {
  return product.startsWith('own:');
}

/** The recipe behind an own product, card or step. */
export function recipeIdOf(id: string): string {
  return id.slice('own:'.length).replace(/[@#/].*$/, '');
}

/** One page of a recipe as a card: an edited recipe is another page, and a batch keeps the one it was planned by. */
export function ownCardId(recipeId: string, revision: number, filling?: string): string {
  return `own:${recipeId}@${revision}${filling === undefined ? '' : `/${filling}`}`;
}

/** A step of a page in own words. */
export function ownStepId(recipeId: string, revision: number, step: string): string {
  return `own:${recipeId}@${revision}#${step}`;
}
