import { type JarSize } from '../handbook/jars';
import { type ProductId } from '../handbook/products';
import { effectsOf, type JarLot, type Movement } from './jarLot';
import { type PantryPlace, placeOf } from './place';
import { UseBook, type UseRecord } from './useRecord';

/** Movements that take jars to be eaten here. */
const EATEN: readonly Movement['kind'][] = ['taken', 'opened'];

/**
 * All lots and movements of a household, added up as they come: the number of jars in each lot, and how each product is
 * used. Twenty years are read once; a jar taken after that costs no more than on the first day.
 */
export class Ledger {
  private readonly lots = new Map<string, JarLot>();
  private readonly movements = new Map<string, Movement>();
  private readonly undone = new Set<string>();
  private readonly jarsIn = new Map<string, number>();
  private readonly books = new Map<string, { product: ProductId; jar: JarSize; book: UseBook }>();

  constructor(private places: readonly PantryPlace[]) {}

  enterLot(lot: JarLot): void {
    this.lots.set(lot.id, lot);
  }

  /** Adds a movement. One that is there already, and one that undoes what is undone, change nothing. */
  enterMovement(movement: Movement): void {
    if (this.movements.has(movement.id)) return;
    this.movements.set(movement.id, movement);
    if (movement.undoes !== undefined) {
      const target = this.movements.get(movement.undoes);
      if (target && !this.undone.has(target.id)) this.add(target, -1);
      this.undone.add(movement.undoes);
    } else if (!this.undone.has(movement.id)) this.add(movement, 1);
  }

  lot(lotId: string): JarLot | undefined {
    return this.lots.get(lotId);
  }

  allLots(): IterableIterator<JarLot> {
    return this.lots.values();
  }

  movement(id: string): Movement | undefined {
    return this.movements.get(id);
  }

  allMovements(): IterableIterator<Movement> {
    return this.movements.values();
  }

  isUndone(movementId: string): boolean {
    return this.undone.has(movementId);
  }

  jars(lotId: string): number {
    return this.jarsIn.get(lotId) ?? 0;
  }

  /** Whether it holds so many lots and movements. */
  counts(lots: number, movements: number): boolean {
    return this.lots.size === lots && this.movements.size === movements;
  }

  /** Whether no lot would hold fewer than none after it. */
  allows(movement: Movement): boolean {
    const target = movement.undoes === undefined ? undefined : this.movements.get(movement.undoes);
    if (target && this.undone.has(target.id)) return true;
    const change = target ? effectsOf(target).map(([id, jars]) => [id, -jars] as const) : effectsOf(movement);
    return change.every(([lotId, jars]) => this.jars(lotId) + jars >= 0);
  }

  /** How each product is used, seen from `now`. */
  useRecords(now: number): UseRecord[] {
    return [...this.books.values()].map(({ product, jar, book }) => book.record(product, jar, now));
  }

  private add(movement: Movement, sign: 1 | -1): void {
    for (const [lotId, jars] of effectsOf(movement)) {
      this.jarsIn.set(lotId, (this.jarsIn.get(lotId) ?? 0) + sign * jars);
      const lot = this.lots.get(lotId);
      // What is set aside is not there to be eaten, what is opened counted when it was.
      if (!lot || lot.seal === 'opened' || placeOf(this.places, lot.place).kind === 'aside') continue;
      const eaten = EATEN.includes(movement.kind) && jars < 0 ? -jars : 0;
      const back = movement.kind === 'returned' ? -jars : 0;
      const { book } = this.bookOf(lot);
      book.add(movement.at, sign * jars, sign * (eaten + back));
      if (movement.kind === 'stored') book.putUp(lot.madeAt, sign * jars);
    }
  }

  private bookOf({ product, jar }: JarLot) {
    const key = `${product} ${jar}`;
    const known = this.books.get(key) ?? { product, jar, book: new UseBook() };
    this.books.set(key, known);
    return known;
  }
}
