import { isDeepStrictEqual } from 'node:util';
import { type Transaction } from 'sequelize';
import { clashId } from '@hoddle/contract/clashId';
import { arrivalOf, isSameLot } from '@hoddle/core/pantry/arrival';
import { effectsOf, type JarLot, type Movement, MOVEMENT_WAYS } from '@hoddle/core/pantry/jarLot';
import { Ledger } from '@hoddle/core/pantry/ledger';
import { isPlace, type PantryPlace, USUAL_PLACES } from '@hoddle/core/pantry/place';
import { Problem } from '../problem';
import { keepOnce } from './keepOnce';
import { lotOf, lotRow, movementOf, movementRow } from './pantryRows';
import { type Rows } from './rowStore';
import { householdRow } from './householdRow';
import { type Tables } from './tables';

/** More jars were to go than are there. */
export class NotEnough extends Problem {
  constructor(message: string) {
    super(409, 'not-enough', message);
  }
}

/** Movements this young go to every screen; older ones are added up. */
const LATELY_MS = 60 * 24 * 60 * 60_000;

/**
 * The jars of the household, added up once and kept so while the server runs: every write of jars goes through here. What a
 * transaction writes is added when it has been committed, before the next write begins.
 */
export class PantryBook {
  private ledger = new Ledger([]);

  constructor(
    private readonly tables: Tables,
    private rows: Rows,
  ) {
    this.load(rows);
  }

  /** Adds up all lots and movements anew. */
  load(rows: Rows): void {
    const ledger = new Ledger(placesOf(rows));
    for (const row of rows.lots.values()) ledger.enterLot(lotOf(row));
    for (const row of [...rows.movements.values()].sort((a, b) => a.at - b.at)) ledger.enterMovement(movementOf(row));
    this.ledger = ledger;
    this.rows = rows;
  }

  /** Follows what was committed: what went through here is added already, the rest is added up anew. */
  follow(rows: Rows): void {
    const isAdded = this.ledger.counts(rows.lots.size, rows.movements.size);
    // What is set aside does not count as there to be eaten.
    if (isAdded && isDeepStrictEqual(placesOf(this.rows), placesOf(rows))) this.rows = rows;
    else this.load(rows);
  }

  get all(): Ledger {
    return this.ledger;
  }

  /** Jars that come to the shelf: lots with their first movement. */
  async enterLots(lots: readonly JarLot[], movements: readonly Movement[], transaction: Transaction): Promise<void> {
    await this.tables.lots.bulkCreate(lots.map(lotRow), { transaction });
    await this.tables.movements.bulkCreate(movements.map(movementRow), { transaction });
    transaction.afterCommit(() => this.enter(lots, movements));
  }

  /**
   * Keeps one movement, with the lot it makes where it carries jars elsewhere.
   *
   * @returns true when it was new
   * @throws Problem 404 without its lot, 409 when there are not so many jars, 422 where they may not go
   */
  async move(movement: Movement, transaction: Transaction): Promise<boolean> {
    const lot = this.ledger.lot(movement.lotId);
    if (!lot) throw new Problem(404, 'no-lot', 'There are no such jars.');
    const isNew = await keepOnce(this.tables.movements, movementRow(movement), transaction);
    if (!isNew) return false;
    if (movement.undoes !== undefined && this.ledger.movement(movement.undoes)?.lotId !== movement.lotId) {
      throw new Problem(404, 'no-movement', 'There is nothing to undo: these jars were not moved so.');
    }
    if (!this.ledger.allows(movement)) {
      if (movement.undoes === undefined) throw new NotEnough(this.tooFew(movement));
      throw new Problem(409, 'not-enough', this.tooFew(movement));
    }
    const arrived = await this.arrive(lot, movement, transaction);
    transaction.afterCommit(() => this.enter(arrived ? [arrived] : [], [movement]));
    return true;
  }

  /** Keeps that jars were told as gone which were not there, once, however often they are told. */
  async tellShort(movement: Movement, transaction: Transaction): Promise<void> {
    const { lotId, at, note } = movement;
    const jars = movement.jars - this.ledger.jars(lotId);
    const id = clashId(movement.id);
    if (jars <= 0 || this.ledger.movement(id)) return;
    const short: Movement = { id, lotId, kind: 'short', jars, at, ...(note !== undefined && { note }) };
    await keepOnce(this.tables.movements, movementRow(short), transaction);
    transaction.afterCommit(() => this.enter([], [short]));
  }

  /** What every screen is told: lots with jars in them or touched lately, and the movements of the last weeks. */
  told(now: number): { lots: (JarLot & { jarsBefore: number })[]; movements: Movement[] } {
    const recent = [...this.ledger.allMovements()].filter(({ at }) => at >= now - LATELY_MS);
    const standing = recent.filter(({ id, kind }) => kind !== 'undone' && !this.ledger.isUndone(id));
    const since = new Map<string, number>();
    const touched = new Set<string>();
    for (const { lotId, intoLotId } of recent) {
      touched.add(lotId);
      if (intoLotId !== undefined) touched.add(intoLotId);
    }
    for (const movement of standing) {
      for (const [lotId, jars] of effectsOf(movement)) since.set(lotId, (since.get(lotId) ?? 0) + jars);
    }
    const wanted = new Set<string>();
    for (const lot of this.ledger.allLots()) {
      if (this.ledger.jars(lot.id) <= 0 && !touched.has(lot.id)) continue;
      // Those it came from, too: its code is theirs.
      for (let each: JarLot | undefined = lot; each && !wanted.has(each.id);) {
        wanted.add(each.id);
        each = each.fromLotId === undefined ? undefined : this.ledger.lot(each.fromLotId);
      }
    }
    const lots = [...wanted].flatMap((id) => {
      const lot = this.ledger.lot(id);
      return lot ? [{ ...lot, jarsBefore: this.ledger.jars(id) - (since.get(id) ?? 0) }] : [];
    });
    return {
      lots: lots.sort((a, b) => a.madeAt - b.madeAt || (a.id < b.id ? -1 : 1)),
      movements: recent.sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1)),
    };
  }

  private enter(lots: readonly JarLot[], movements: readonly Movement[]): void {
    for (const lot of lots) this.ledger.enterLot(lot);
    for (const movement of movements) this.ledger.enterMovement(movement);
  }

  private async arrive(lot: JarLot, movement: Movement, transaction: Transaction): Promise<JarLot | undefined> {
    if (MOVEMENT_WAYS[movement.kind] !== 'across') return undefined;
    const places = placesOf(this.rows);
    holdPlace(places, movement.toPlace);
    const arrival = arrivalOf(lot, movement, places);
    if (arrival.kind === 'refused') throw new Problem(422, 'wrong-place', arrival.reason);
    const there = this.ledger.lot(arrival.lot.id);
    if (there && !isSameLot(there, arrival.lot)) {
      throw new Problem(409, 'id-taken', 'Other jars are already saved under this id. They were left as they are.');
    }
    if (there) return undefined;
    await this.tables.lots.create(lotRow(arrival.lot), { transaction });
    return arrival.lot;
  }

  /** @throws Problem 422 when one of them stands in no place of the household */
  holdPlaces(lots: readonly Pick<JarLot, 'place'>[]): void {
    const places = placesOf(this.rows);
    for (const { place } of lots) holdPlace(places, place);
  }

  private tooFew({ lotId, jars, undoes }: Movement): string {
    if (undoes !== undefined) return 'That cannot be undone any more: the jars have gone on since.';
    const left = this.ledger.jars(lotId);
    return `There are not so many of these jars left: ${left}, and ${jars} were to go. Another hand may have taken some.`;
  }
}

function placesOf(rows: Rows): readonly PantryPlace[] {
  return householdRow(rows).places ?? USUAL_PLACES;
}

/** @throws Problem 422 */
function holdPlace(places: readonly PantryPlace[], place: string | undefined): void {
  if (place === undefined || isPlace(places, place)) return;
  throw new Problem(422, 'no-place', 'There is no such place any more. Say where the jars stand.');
}
