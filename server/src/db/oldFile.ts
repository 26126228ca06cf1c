import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { Sequelize } from 'sequelize';
import { MIGRATIONS } from './migrations';

/** When everything in an old file was made. */
export const MADE_AT = Date.UTC(2026, 7, 1);

const idOf = (n: number) => `0198f3a0-0000-7000-8000-00000000a${n.toString(16).padStart(3, '0')}`;

/** Ids of what stands in it: a batch of a pick, its load, the canner, a sealed and an unsealed lot, their movements, a record. */
export const ID = {
  ...{ b: idOf(1), p: idOf(2), l: idOf(3), c: idOf(4), s: idOf(5), u: idOf(6) },
  ...{ m: idOf(7), t: idOf(8), n: idOf(9), r: idOf(10) },
} as const;

/** A household's file as the migrations up to `count` made it, with one row in each table that a later one touches. */
export async function fileOfVersion(count: number, file: string): Promise<string> {
  mkdirSync(dirname(file), { recursive: true });
  const old = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
  await old.query('PRAGMA application_id = 1213154380');
  await old.query('CREATE TABLE migrations (name VARCHAR(255) PRIMARY KEY)');
  for (const { name, up } of MIGRATIONS.slice(0, count)) {
    await up(old.getQueryInterface());
    await old.query('INSERT INTO migrations VALUES (?)', { replacements: [name] });
  }
  await old.query(`UPDATE households SET name = 'Kept', altitude_ft = 3420`);
  await old.query(
    `INSERT INTO batches (id, product, jar, pack, method, altitude_ft, process_minutes, canner_id, start_at) VALUES ('${ID.b}', 'plums', 'pint', 'hot', 'boiling-water', 3420, 30, '${ID.c}', ${MADE_AT + 1})`,
  );
  await old.query(
    `INSERT INTO picks (id, crop, mass_kg, soft_kg, place, picked_at, told) VALUES ('${ID.p}', 'damson', 10, 2, 'cool', ${MADE_AT + 1}, '22 lb')`,
  );
  await old.query(`INSERT INTO batch_uses (batch_id, pick_id, mass_kg, soft_kg) VALUES ('${ID.b}', '${ID.p}', 4, 0)`);
  await old.query(`INSERT INTO loads (id, batch_id, number, jars) VALUES ('${ID.l}', '${ID.b}', 1, 9)`);
  await old.query(
    `INSERT INTO canners (id, position, name, method, inside_diameter_in, inside_height_in, rack_height_in, declared_quarts, declared_pints) VALUES ('${ID.c}', 0, 'Pot', 'boiling-water', 13.25, 9.5, 0.6, 7, 9)`,
  );
  if (count >= 4) await old.query('UPDATE canners SET declared_half_pints = 9');
  await old.query(
    `INSERT INTO jar_lots (id, load_id, product, jar, place, made_at, keeps_until) VALUES ('${ID.s}', '${ID.l}', 'plums', 'pint', 'shelf', ${MADE_AT + 1}, ${MADE_AT + 2}), ('${ID.u}', '${ID.l}', 'plums', 'pint', 'refrigerator', ${MADE_AT + 1}, ${MADE_AT + 2})`,
  );
  await old.query(
    `INSERT INTO movements (id, lot_id, kind, jars, at) VALUES ('${ID.m}', '${ID.s}', 'stored', 8, ${MADE_AT + 5}), ('${ID.t}', '${ID.s}', 'taken', 3, ${MADE_AT + 5}), ('${ID.n}', '${ID.u}', 'stored', 1, ${MADE_AT + 5})`,
  );
  if (count >= 6) await old.query(`UPDATE jar_lots SET seal = 'unsealed' WHERE id = '${ID.u}'`);
  if (count >= 8) {
    await old.query(`UPDATE batch_uses SET crop = 'damson'`);
    await old.query(`UPDATE jar_lots SET crop = 'damson'`);
  }
  if (count >= 3) {
    await old.query(
      `INSERT INTO batch_records (id, batch_id, product, crop, mass_kg, water_ml, sugar_kg, jars, part_jar, made_at, note, learn_from) VALUES ('${ID.r}', '${ID.b}', 'plums', 'damson', 4, 0, 0, '[{"jar":"pint","count":8}]', NULL, ${MADE_AT + 1}, '', 1)`,
    );
  }
  await old.close();
  return file;
}
