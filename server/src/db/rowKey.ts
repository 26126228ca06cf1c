import { type Model, type ModelStatic } from 'sequelize';
import { SUM } from './rowSum';

/** What a row is known by among those of its table: its primary key, in one text. */
export function keyOf(model: ModelStatic<Model>, row: object): string {
  return model.primaryKeyAttributes.map((part) => String((row as Record<string, unknown>)[part])).join(' ');
}

/** A row as plain values, without its sum. */
export function plainOf<Row extends object>(row: Model<Row, Row>): Row {
  const { [SUM]: _, ...plain } = row.get({ plain: true }) as Row & { [SUM]?: unknown };
  return plain as unknown as Row;
}
