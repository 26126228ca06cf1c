import { type OpenAddress, type OpenAddressRequest, type OpenContent } from '@hoddle/contract/paper';
import { type Database } from '../db/openDatabase';
import { type SecretAddressRow } from '../db/tables';
import { Problem } from '../problem';
import { hashKey } from './secrets';

/** More than a household has devices and guests. */
const MOST = 500;
/** When one was asked for last is written down at most so often. */
const ASKED_MS = 60 * 60_000;
/** What is over is listed for so long. */
const LISTED_MS = 90 * 24 * 60 * 60_000;

export type Opened =
  | { readonly kind: 'open'; readonly name: string; readonly until: number | null; readonly content: OpenContent }
  /** It was open once. */
  | { readonly kind: 'over' }
  | { readonly kind: 'unknown' };

/** Addresses that whoever knows them may open without a device's key: pages for a while, calendars until they are taken back. */
export class OpenAddresses {
  private constructor(
    private readonly db: Database,
    private rows: SecretAddressRow[],
    private readonly clock: () => number,
  ) {}

  static async of(db: Database, clock: () => number = Date.now): Promise<OpenAddresses> {
    const rows = await db.own.secretAddresses.findAll({ order: [['madeAt', 'ASC']] });
    return new OpenAddresses(
      db,
      rows.map((row) => row.get({ plain: true })),
      clock,
    );
  }

  /** Those that are open, and those that were of late. */
  list(): OpenAddress[] {
    const now = this.clock();
    return this.rows.filter((row) => now - endOf(row) < LISTED_MS).map(({ keyHash: _, content: __, ...told }) => told);
  }

  /**
   * Opens an address by a key that its client made.
   *
   * @returns whether it is new; the same once more is left as it is
   * @throws Problem 409 for an id that another one has, 422 when there are too many
   */
  async open({ id, name, key, until, content }: OpenAddressRequest): Promise<boolean> {
    const keyHash = hashKey(key);
    const known = this.rows.find((row) => row.id === id);
    if (known && known.keyHash !== keyHash) throw new Problem(409, 'id-taken', 'Another address has this id.');
    if (known) return false;
    if (this.rows.filter((row) => this.isOpen(row)).length >= MOST)
      throw new Problem(422, 'too-many', 'So many addresses are open already. Take some back first.');
    const row: SecretAddressRow = {
      ...{ id, kind: content.kind, name, keyHash, madeAt: this.clock(), until },
      ...{ revokedAt: null, askedAt: null, content },
    };
    await this.db.write((transaction) => this.db.own.secretAddresses.create(row, { transaction }));
    this.rows = [...this.rows, row];
    return true;
  }

  /** @returns whether there was such an address */
  async takeBack(id: string): Promise<boolean> {
    const row = this.rows.find((each) => each.id === id);
    if (!row) return false;
    if (row.revokedAt !== null) return true;
    const revokedAt = this.clock();
    await this.db.write((transaction) =>
      this.db.own.secretAddresses.update({ revokedAt }, { where: { id }, transaction }),
    );
    row.revokedAt = revokedAt;
    return true;
  }

  /** What an address shows. */
  opened(key: string): Opened {
    const keyHash = hashKey(key);
    const row = this.rows.find((each) => each.keyHash === keyHash);
    if (!row) return { kind: 'unknown' };
    if (!this.isOpen(row)) return { kind: 'over' };
    this.asked(row);
    return { kind: 'open', name: row.name, until: row.until, content: row.content as OpenContent };
  }

  private isOpen({ revokedAt, until }: SecretAddressRow): boolean {
    return revokedAt === null && (until === null || until > this.clock());
  }

  private asked(row: SecretAddressRow): void {
    const now = this.clock();
    if (now - (row.askedAt ?? 0) < ASKED_MS) return;
    row.askedAt = now;
    // It is only when it was asked for last: a full disk closes no address.
    void this.db
      .write((transaction) =>
        this.db.own.secretAddresses.update({ askedAt: now }, { where: { id: row.id }, transaction }),
      )
      .catch(() => undefined);
  }
}

function endOf({ revokedAt, until }: SecretAddressRow): number {
  return Math.min(revokedAt ?? Infinity, until ?? Infinity);
}
