import { DataTypes, type Model, type ModelAttributes, type ModelStatic, type Sequelize } from 'sequelize';
import { type Batch } from '@hoddle/core/day/batch';
import { type Canner } from '@hoddle/core/canner/canner';
import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { type JarLot, type Movement } from '@hoddle/core/pantry/jarLot';
import { type HouseholdSource } from '@hoddle/core/process/householdSource';

/** A table whose rows are plain values: what goes in is what comes out. */
export type Table<Row extends object> = ModelStatic<Model<Row, Row>>;

export interface HouseholdRow {
  id: number;
  name: string;
  altitudeFt: number | null;
  burners: number;
  demoOffsetMs: number | null;
  units: 'us' | 'metric';
}
export type BatchRow = Omit<Batch, 'uses' | 'loads' | 'ingredients'> & { ingredients: readonly string[] | null };
export interface CheckedRowRow {
  rowId: string;
  checkedOn: string;
}
export interface UseRow {
  batchId: string;
  pickId: string;
  massKg: number;
  softKg: number;
}
export interface LoadRow {
  id: string;
  batchId: string;
  number: number;
  jars: number;
}
export interface EventRow {
  id: string;
  loadId: string;
  type: KitchenEvent['type'];
  at: number;
  /** What the type carries beside its time: jars, seals. */
  detail: object;
}
export type LotRow = Omit<JarLot, 'loadId'> & { loadId: string | null };

export interface Tables {
  households: Table<HouseholdRow>;
  canners: Table<Canner & { position: number }>;
  picks: Table<HarvestPick>;
  batches: Table<BatchRow>;
  uses: Table<UseRow>;
  loads: Table<LoadRow>;
  events: Table<EventRow>;
  lots: Table<LotRow>;
  movements: Table<Movement>;
  checkedRows: Table<CheckedRowRow>;
  sources: Table<HouseholdSource>;
}

const { STRING, INTEGER, BIGINT, BOOLEAN, DOUBLE, JSON } = DataTypes;
const id = { type: STRING, primaryKey: true };

/** Binds the tables of the migrations to the rows above; column names are the same words in snake case. */
export function defineTables(sequelize: Sequelize): Tables {
  const table = <Row extends object>(name: string, columns: ModelAttributes<Model<Row, Row>>): Table<Row> =>
    sequelize.define<Model<Row, Row>>(name, columns, { tableName: name, timestamps: false, underscored: true });
  return {
    households: table('households', {
      id: { type: INTEGER, primaryKey: true },
      name: STRING,
      altitudeFt: DOUBLE,
      burners: INTEGER,
      demoOffsetMs: BIGINT,
      units: STRING,
    }),
    canners: table('canners', {
      id,
      position: INTEGER,
      name: STRING,
      method: STRING,
      insideDiameterIn: DOUBLE,
      insideHeightIn: DOUBLE,
      rackHeightIn: DOUBLE,
      declaredQuarts: INTEGER,
      declaredPints: INTEGER,
    }),
    picks: table('picks', {
      id,
      crop: STRING,
      massKg: DOUBLE,
      softKg: DOUBLE,
      place: STRING,
      pickedAt: BIGINT,
      told: STRING,
    }),
    batches: table('batches', {
      id,
      product: STRING,
      jar: STRING,
      pack: STRING,
      method: STRING,
      altitudeFt: DOUBLE,
      processMinutes: INTEGER,
      cannerId: STRING,
      startAt: BIGINT,
      ingredients: JSON,
    }),
    uses: table('batch_uses', {
      batchId: { type: STRING, primaryKey: true },
      pickId: { type: STRING, primaryKey: true },
      massKg: DOUBLE,
      softKg: DOUBLE,
    }),
    loads: table('loads', { id, batchId: STRING, number: INTEGER, jars: INTEGER }),
    events: table('kitchen_events', { id, loadId: STRING, type: STRING, at: BIGINT, detail: JSON }),
    lots: table('jar_lots', {
      id,
      loadId: STRING,
      product: STRING,
      jar: STRING,
      place: STRING,
      madeAt: BIGINT,
      keepsUntil: BIGINT,
    }),
    movements: table('movements', { id, lotId: STRING, kind: STRING, jars: INTEGER, at: BIGINT }),
    checkedRows: table('checked_rows', { rowId: { type: STRING, primaryKey: true }, checkedOn: STRING }),
    sources: table('household_sources', {
      id,
      title: STRING,
      kind: STRING,
      page: STRING,
      product: STRING,
      lowAcid: BOOLEAN,
      pack: STRING,
      jar: STRING,
      method: STRING,
      headspaceIn: DOUBLE,
      bands: JSON,
    }),
  };
}
