import { DataTypes, type Model, type ModelAttributes, type ModelStatic, type Sequelize } from 'sequelize';
import { type CropId } from '@hoddle/core/handbook/crops';
import { type ProduceId } from '@hoddle/core/handbook/produce';
import { type Batch, type LoadSize } from '@hoddle/core/day/batch';
import { type Canner, type OwnJar } from '@hoddle/core/canner/canner';
import { type Season } from '@hoddle/contract/season';
import { type Kitchen } from '@hoddle/contract/household';
import { type InstrumentSettings } from '@hoddle/contract/instrument';
import { type LotChange } from '@hoddle/core/harvest/lotChange';
import { type DateOrder } from '@hoddle/core/measure/dateWords';
import { type OwnMeasure } from '@hoddle/core/harvest/ownMeasure';
import { type Pick as HarvestPick } from '@hoddle/core/harvest/pick';
import { type GardenLook, type Planting } from '@hoddle/core/harvest/planting';
import { type DayEvent } from '@hoddle/core/kitchen/dayEvent';
import { type KitchenEvent } from '@hoddle/core/kitchen/kitchenEvent';
import { type LoadCurve } from '@hoddle/core/kitchen/loadCurve';
import { type JarLot, type Movement } from '@hoddle/core/pantry/jarLot';
import { type BestMonths } from '@hoddle/core/pantry/keepsUntil';
import { type PantryPlace } from '@hoddle/core/pantry/place';
import { type ShelfGoal } from '@hoddle/core/pantry/shelfGoal';
import { type BatchRecord } from '@hoddle/core/yields/batchRecord';
import { type HouseholdSource } from '@hoddle/core/process/householdSource';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { type HardwareMove } from '@hoddle/core/supplies/hardware';
import { type Role } from '@hoddle/contract/device';
import { SUM } from './rowSum';

/** A table whose rows are plain values: what goes in is what comes out. */
export type Table<Row extends object> = ModelStatic<Model<Row, Row>>;

export interface HouseholdRow {
  id: number;
  name: string;
  altitudeFt: number | null;
  burners: number;
  demoOffsetMs: number | null;
  units: 'us' | 'metric';
  kitchen: Kitchen | null;
  ownJars: readonly OwnJar[];
  places: readonly PantryPlace[] | null;
  bestMonths: BestMonths;
  dateOrder: DateOrder | null;
  instruments: InstrumentSettings | null;
  mark: number;
  seasonDays: Season['days'] | null;
  seasonPlan: Season['plan'];
  seasonPins: Season['pins'] | null;
}
export type BatchRow = Omit<
  Batch,
  'uses' | 'loads' | 'ingredients' | 'pressurePsi' | 'againOf' | 'recipe' | 'without' | 'gives' | 'from'
> & {
  gives: Batch['gives'] | null;
  from: Batch['from'] | null;
  recipe: string | null;
  without: readonly string[] | null;
  againOf: string | null;
  ingredients: readonly string[] | null;
  pressurePsi: number | null;
};
export interface CheckedRowRow {
  rowId: string;
  checkedOn: string;
}
export interface UseRow {
  batchId: string;
  pickId: string;
  crop: ProduceId | null;
  massKg: number;
  softKg: number;
  frozenKg: number | null;
}
export interface LoadRow {
  id: string;
  batchId: string;
  number: number;
  jars: number;
  cannerId: string | null;
  withLoadId: string | null;
  recipe: string | null;
  size: LoadSize | null;
}
export interface EventRow {
  id: string;
  loadId: string;
  type: KitchenEvent['type'];
  at: number;
  /** What the type carries beside its time: jars, seals. */
  detail: object;
}
export interface DayEventRow {
  id: string;
  day: string;
  type: DayEvent['type'];
  at: number;
  detail: object;
}
export type LotRow = Omit<JarLot, 'loadId' | 'fromLotId' | 'jarsBefore' | 'recipe' | 'crop' | 'readyAt'> & {
  readyAt: number | null;
  recipe: string | null;
  crop: CropId | null;
  loadId: string | null;
  fromLotId: string | null;
};
export type MovementRow = Omit<Movement, 'intoLotId' | 'toPlace' | 'undoes' | 'note'> & {
  intoLotId: string | null;
  toPlace: string | null;
  undoes: string | null;
  note: string | null;
};
export type HardwareRow = Omit<HardwareMove, 'size'> & { size: HardwareMove['size'] | null };

export interface OwnRecipeRow {
  id: string;
  revision: number;
  name: string;
  draft: boolean;
  page: OwnRecipe;
}

/** How many writes were kept. */
export interface WritesRow {
  id: number;
  writes: number;
}

/** A phone or another computer that was paired. */
export interface DeviceRow {
  id: string;
  name: string;
  role: Role;
  keyHash: string;
  pairedAt: number;
  seenAt: number | null;
  revokedAt: number | null;
}

export interface PassphraseRow {
  id: number;
  hash: string;
  setAt: number;
}

export interface Tables {
  households: Table<HouseholdRow>;
  canners: Table<Canner & { position: number }>;
  picks: Table<HarvestPick>;
  lotChanges: Table<LotChange>;
  plantings: Table<Planting>;
  gardenLooks: Table<GardenLook>;
  ownMeasures: Table<OwnMeasure>;
  batchRecords: Table<BatchRecord>;
  batches: Table<BatchRow>;
  uses: Table<UseRow>;
  loads: Table<LoadRow>;
  events: Table<EventRow>;
  dayEvents: Table<DayEventRow>;
  curves: Table<LoadCurve>;
  lots: Table<LotRow>;
  movements: Table<MovementRow>;
  goals: Table<ShelfGoal>;
  hardwareMoves: Table<HardwareRow>;
  shoppingTicks: Table<{ key: string }>;
  checkedRows: Table<CheckedRowRow>;
  sources: Table<HouseholdSource>;
  ownRecipes: Table<OwnRecipeRow>;
}

/** An address that is known to whoever was given it, and shown without a key of a device. */
export interface SecretAddressRow {
  id: string;
  kind: 'page' | 'calendar';
  name: string;
  keyHash: string;
  madeAt: number;
  /** Good until then; null for as long as nobody takes it back. */
  until: number | null;
  revokedAt: number | null;
  askedAt: number | null;
  /** Of a page all of it, of a calendar what is in it. */
  content: object;
}
/** An entry of the household's calendar as it was told last: what changes in it is told as a change of this one. */
export interface ToldEntryRow {
  uid: string;
  content: object;
  sequence: number;
  toldAt: number;
  cancelledAt: number | null;
}

/** What is kept beside the household and is no part of it: a backup does not carry it. */
export interface OwnTables {
  secretAddresses: Table<SecretAddressRow>;
  toldEntries: Table<ToldEntryRow>;
  writes: Table<WritesRow>;
  devices: Table<DeviceRow>;
  passphrases: Table<PassphraseRow>;
}

const { STRING, INTEGER, BIGINT, BOOLEAN, DOUBLE, JSON } = DataTypes;
const id = { type: STRING, primaryKey: true };

/** Binds the tables of the migrations to the rows above; column names are the same words in snake case. */
export function defineTables(sequelize: Sequelize): Tables {
  // The sum beside a row is no part of it: only who checks it asks for it.
  const table = <Row extends object>(name: string, columns: ModelAttributes<Model<Row, Row>>): Table<Row> =>
    sequelize.define<Model<Row, Row>>(name, { ...columns, [SUM]: INTEGER } as ModelAttributes<Model<Row, Row>>, {
      tableName: name,
      timestamps: false,
      underscored: true,
      defaultScope: { attributes: { exclude: [SUM] } },
    });
  return {
    households: table('households', {
      id: { type: INTEGER, primaryKey: true },
      name: STRING,
      altitudeFt: DOUBLE,
      burners: INTEGER,
      demoOffsetMs: BIGINT,
      units: STRING,
      kitchen: JSON,
      ownJars: JSON,
      places: JSON,
      bestMonths: INTEGER,
      dateOrder: STRING,
      instruments: JSON,
      mark: INTEGER,
      seasonDays: JSON,
      seasonPlan: JSON,
      seasonPins: JSON,
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
      alsoBoilingWater: BOOLEAN,
      declaredHalfPints: INTEGER,
      layers: INTEGER,
      burnerWatts: DOUBLE,
      electric: BOOLEAN,
      timesItself: BOOLEAN,
      lidLocks: BOOLEAN,
      testFits: JSON,
    }),
    picks: table('picks', {
      id,
      crop: STRING,
      massKg: DOUBLE,
      softKg: DOUBLE,
      ripeness: STRING,
      place: STRING,
      pickedAt: BIGINT,
      told: STRING,
      source: STRING,
      plantingId: STRING,
      of: JSON,
    }),
    lotChanges: table('lot_changes', {
      id,
      pickId: STRING,
      part: STRING,
      from: STRING,
      kind: STRING,
      to: STRING,
      massKg: DOUBLE,
      at: BIGINT,
    }),
    plantings: table('plantings', {
      id,
      name: STRING,
      crop: STRING,
      count: DOUBLE,
      unit: STRING,
      firstWeek: INTEGER,
      peakWeek: INTEGER,
      lastWeek: INTEGER,
      usualKg: DOUBLE,
    }),
    gardenLooks: table('garden_looks', { id, plantingId: STRING, kind: STRING, at: BIGINT }),
    ownMeasures: table('own_measures', {
      crop: { type: STRING, primaryKey: true },
      measure: { type: STRING, primaryKey: true },
      massKg: DOUBLE,
    }),
    batchRecords: table('batch_records', {
      id,
      batchId: STRING,
      product: STRING,
      crop: STRING,
      massKg: DOUBLE,
      waterMl: DOUBLE,
      sugarKg: DOUBLE,
      jars: JSON,
      partJar: JSON,
      madeAt: BIGINT,
      note: STRING,
      jarMake: STRING,
      lidMake: STRING,
      leftoverMl: DOUBLE,
      faults: JSON,
      juiceMl: DOUBLE,
      trimmingsKg: DOUBLE,
      cookedOffMl: DOUBLE,
      trimmingsTo: STRING,
      learnFrom: BOOLEAN,
    }),
    batches: table('batches', {
      id,
      product: STRING,
      jar: STRING,
      pack: STRING,
      method: STRING,
      altitudeFt: DOUBLE,
      processMinutes: INTEGER,
      pressurePsi: INTEGER,
      cannerId: STRING,
      startAt: BIGINT,
      ingredients: JSON,
      againOf: STRING,
      recipe: STRING,
      without: JSON,
      gives: JSON,
      from: { type: JSON, field: 'from_pot' },
    }),
    uses: table('batch_uses', {
      batchId: { type: STRING, primaryKey: true },
      pickId: { type: STRING, primaryKey: true },
      crop: STRING,
      massKg: DOUBLE,
      softKg: DOUBLE,
      frozenKg: DOUBLE,
    }),
    loads: table('loads', {
      id,
      batchId: STRING,
      number: INTEGER,
      jars: INTEGER,
      cannerId: STRING,
      withLoadId: STRING,
      recipe: STRING,
      size: JSON,
    }),
    events: table('kitchen_events', { id, loadId: STRING, type: STRING, at: BIGINT, detail: JSON }),
    dayEvents: table('day_events', { id, day: STRING, type: STRING, at: BIGINT, detail: JSON }),
    curves: table('load_curves', {
      id,
      instrument: STRING,
      measures: STRING,
      startAt: BIGINT,
      wants: DOUBLE,
      readsMoreF: DOUBLE,
      points: JSON,
    }),
    lots: table('jar_lots', {
      id,
      loadId: STRING,
      fromLotId: STRING,
      product: STRING,
      recipe: STRING,
      crop: STRING,
      jar: STRING,
      place: STRING,
      seal: STRING,
      madeAt: BIGINT,
      keepsUntil: BIGINT,
      readyAt: BIGINT,
    }),
    movements: table('movements', {
      id,
      lotId: STRING,
      kind: STRING,
      jars: INTEGER,
      at: BIGINT,
      intoLotId: STRING,
      toPlace: STRING,
      undoes: STRING,
      note: STRING,
    }),
    goals: table('shelf_goals', {
      product: { type: STRING, primaryKey: true },
      jar: { type: STRING, primaryKey: true },
      jars: INTEGER,
      perMonth: DOUBLE,
      priority: STRING,
    }),
    shoppingTicks: table('shopping_ticks', { key: { type: STRING, primaryKey: true } }),
    hardwareMoves: table('hardware_moves', {
      id,
      kind: STRING,
      size: STRING,
      mouth: STRING,
      way: STRING,
      count: INTEGER,
      at: BIGINT,
    }),
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
    ownRecipes: table('own_recipes', {
      id,
      revision: { type: INTEGER, primaryKey: true },
      name: STRING,
      draft: BOOLEAN,
      page: JSON,
    }),
  };
}

/** The tables that are no part of the household. */
export function defineOwnTables(sequelize: Sequelize): OwnTables {
  const table = <Row extends object>(name: string, columns: ModelAttributes<Model<Row, Row>>): Table<Row> =>
    sequelize.define<Model<Row, Row>>(name, columns, { tableName: name, timestamps: false, underscored: true });
  return {
    writes: table('writes_kept', { id: { type: INTEGER, primaryKey: true }, writes: INTEGER }),
    devices: table('devices', {
      id,
      name: STRING,
      role: STRING,
      keyHash: STRING,
      pairedAt: BIGINT,
      seenAt: BIGINT,
      revokedAt: BIGINT,
    }),
    secretAddresses: table('secret_addresses', {
      id,
      kind: STRING,
      name: STRING,
      keyHash: STRING,
      madeAt: BIGINT,
      until: BIGINT,
      revokedAt: BIGINT,
      askedAt: BIGINT,
      content: JSON,
    }),
    toldEntries: table('told_entries', {
      uid: { type: STRING, primaryKey: true },
      content: JSON,
      sequence: INTEGER,
      toldAt: BIGINT,
      cancelledAt: BIGINT,
    }),
    passphrases: table('passphrases', { id: { type: INTEGER, primaryKey: true }, hash: STRING, setAt: BIGINT }),
  };
}
