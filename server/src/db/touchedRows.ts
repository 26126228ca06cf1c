import { type Model, type ModelStatic, type Sequelize, type Transaction, type WhereOptions } from 'sequelize';
import { Problem } from '../problem';
import { keyOf, plainOf } from './rowKey';
import { SUM, sumOfRow } from './rowSum';

/** What a transaction has written so far: keys of rows, by table. */
export type Touched = ReadonlyMap<string, ReadonlySet<string>>;

type AnyModel = ModelStatic<Model>;
interface Ran {
  transaction?: Transaction | null;
}

/**
 * Notes which rows each transaction writes, whichever way it does, so that they can be read back before it is committed; and
 * gives new rows their sum.
 */
export class TouchedRows {
  private readonly byTransaction = new WeakMap<Transaction, Map<string, Set<string>>>();

  /** @param models those of the household; nothing of others is noted */
  constructor(sequelize: Sequelize, models: readonly AnyModel[]) {
    const isOurs = (model: unknown) => models.includes(model as AnyModel);
    const created = (instances: readonly Model[], { transaction }: Ran) => {
      for (const instance of instances) {
        const model = instance.constructor as AnyModel;
        if (!isOurs(model)) continue;
        instance.setDataValue(SUM as never, sumOfRow(plainOf(instance)));
        this.note(model, keyOf(model, instance.dataValues as object), transaction);
      }
    };
    sequelize.addHook('beforeCreate', (instance, options) => created([instance], options));
    sequelize.addHook('beforeBulkCreate', (instances, options) => created(instances as readonly Model[], options));
    sequelize.addHook('afterUpsert', ([instance], options) => {
      const model = instance.constructor as AnyModel;
      if (isOurs(model)) this.note(model, keyOf(model, instance.dataValues as object), (options as Ran).transaction);
    });
    sequelize.addHook('beforeBulkUpdate', async (options) => {
      const { model, where, transaction, attributes } = options as unknown as {
        model: AnyModel;
        where: WhereOptions;
        attributes: object;
      } & Ran;
      if (!isOurs(model)) return;
      const rows = await model.unscoped().findAll({ where, ...(transaction && { transaction }) });
      for (const row of rows) {
        holdWhole(model, row, attributes);
        this.note(model, keyOf(model, row.dataValues as object), transaction);
      }
    });
    sequelize.addHook('beforeBulkDestroy', async (options) => {
      const { model, where, transaction } = options as unknown as { model: AnyModel; where: WhereOptions } & Ran;
      if (!isOurs(model)) return;
      const rows = await model.findAll({ where, ...(transaction && { transaction }) });
      for (const row of rows) this.note(model, keyOf(model, row.dataValues as object), transaction);
    });
  }

  of(transaction: Transaction): Touched {
    return this.byTransaction.get(transaction) ?? new Map();
  }

  private note(model: AnyModel, key: string, transaction?: Transaction | null): void {
    if (!transaction) throw new RangeError(`${model.tableName} is written outside a transaction`);
    const touched = this.byTransaction.get(transaction) ?? new Map<string, Set<string>>();
    this.byTransaction.set(transaction, touched);
    const keys = touched.get(model.tableName) ?? new Set<string>();
    touched.set(model.tableName, keys.add(key));
  }
}

/** A row that is damaged is not sealed again by changing a part of it. @throws Problem 503 */
function holdWhole(model: AnyModel, row: Model, attributes: object): void {
  const kept = plainOf(row);
  const sum = (row.dataValues as Record<string, unknown>)[SUM];
  if (sum === null || sum === undefined || sum === sumOfRow(kept)) return;
  const missing = Object.keys(kept).some(
    (column) => !(column in attributes) && !model.primaryKeyAttributes.includes(column),
  );
  if (!missing) return;
  throw new Problem(
    503,
    'damaged',
    'What this changes is damaged in the household’s file. Bring back the last good backup first: Shelf, Files.',
  );
}
