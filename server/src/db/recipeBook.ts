import { isDeepStrictEqual } from 'node:util';
import { type Transaction } from 'sequelize';
import { recipeIdOf } from '@hoddle/core/handbook/ownIds';
import { layOwnPages, NO_OWN_PAGES, type OwnPages } from '@hoddle/core/handbook/ownPages';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { ownPagesOf } from '@hoddle/core/recipe/own/pagesOf';
import { Problem } from '../problem';
import { soundRows } from './soundRows';
import { type Tables } from './tables';

/**
 * The household's own recipes, read once and kept while the server runs. Every page that was put stays: a batch keeps the one
 * it was planned by, whatever is changed after.
 */
export class RecipeBook {
  private pages: readonly OwnRecipe[] = [];
  private laid: OwnPages = NO_OWN_PAGES;

  constructor(private readonly tables: Tables) {}

  async load(): Promise<void> {
    const order: [string, 'ASC'][] = [
      ['name', 'ASC'],
      ['revision', 'ASC'],
    ];
    this.pages = (await soundRows(this.tables.ownRecipes, { order })).map(({ page }) => page);
    this.laid = ownPagesOf(this.pages);
  }

  /** All pages, of each recipe the older ones too. */
  get all(): readonly OwnRecipe[] {
    return this.pages;
  }

  /** Lays them beside the handbook for what is computed next. */
  lay(): void {
    layOwnPages(this.laid);
  }

  newest(id: string): OwnRecipe | undefined {
    return this.pages
      .filter((page) => page.id === id)
      .reduce<OwnRecipe | undefined>((best, page) => (best && best.revision > page.revision ? best : page), undefined);
  }

  /** Whether a product, a card or a step of an own recipe is of one that is there. */
  knows(ownId: string): boolean {
    return this.newest(recipeIdOf(ownId)) !== undefined;
  }

  /**
   * Keeps a page.
   *
   * @returns true when it was new
   * @throws Problem 409 when another page stands under this revision, or a newer one is there
   */
  async keep(page: OwnRecipe, transaction: Transaction): Promise<boolean> {
    const { id, revision, name, draft } = page;
    const known = this.pages.find((other) => other.id === id && other.revision === revision);
    if (known && isDeepStrictEqual(known, page)) return false;
    if (known || revision <= (this.newest(id)?.revision ?? 0)) {
      throw new Problem(
        409,
        'changed-elsewhere',
        'This recipe was changed on another screen meanwhile. Look at it again.',
      );
    }
    await this.tables.ownRecipes.create({ id, revision, name, draft, page }, { transaction });
    transaction.afterCommit(() => this.load());
    return true;
  }

  async strike(id: string, transaction: Transaction): Promise<void> {
    await this.tables.ownRecipes.destroy({ where: { id }, transaction });
    transaction.afterCommit(() => this.load());
  }
}
