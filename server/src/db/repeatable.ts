import { type QueryInterface } from 'sequelize';

/**
 * A query interface that passes over what is there already. Older Hoddles migrated without a transaction: one that was killed
 * meanwhile left columns whose migration was not noted, and ran into them at every start from then on.
 */
export function repeatable(db: QueryInterface): QueryInterface {
  const addColumn: QueryInterface['addColumn'] = async (table, column, ...rest) => {
    const columns = await db.describeTable(table);
    if (!(column in columns)) await db.addColumn(table, column, ...rest);
  };
  const addIndex = async (table: string, columns: string[]) => {
    const known = (await db.showIndex(table)) as { fields: { attribute: string }[] }[];
    const isThere = known.some(({ fields }) => fields.map(({ attribute }) => attribute).join() === columns.join());
    if (!isThere) await db.addIndex(table, columns);
  };
  return new Proxy(db, {
    get: (target, name) => {
      if (name === 'addColumn') return addColumn;
      if (name === 'addIndex') return addIndex;
      const value: unknown = Reflect.get(target, name);
      return typeof value === 'function' ? (value as (...args: unknown[]) => unknown).bind(target) : value;
    },
  });
}
