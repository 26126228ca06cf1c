import { randomUUID } from 'node:crypto';
import { type Device, type Role } from '@hoddle/contract/device';
import { v7 as uuidV7 } from 'uuid';
import { type Database } from '../db/openDatabase';
import { type DeviceRow } from '../db/tables';
import { Problem } from '../problem';
import { Lockout } from './lockout';
import { codeIn, hashKey, hashPassphrase, isKey, isPassphrase, newCode, newKey } from './secrets';

/** A code is good for one device and five minutes. */
export const CODE_MS = 5 * 60_000;

/** After so many wrong codes, whoever sent them, those that are open are void. */
const WRONG_AT_MOST = 20;

/** When a device was seen last is written down at most so often. */
const SEEN_MS = 60 * 60_000;

/** Passphrases fail for everybody together too: many addresses are no way round the lock. */
const EVERYBODY = 'everybody';

interface OpenCode {
  readonly hash: string;
  readonly role: Role;
  readonly until: number;
}

/** Which devices may come in besides this machine, and how another one is let in. */
export class Pairing {
  private codes: OpenCode[] = [];
  private wrong = 0;
  private readonly lockout = new Lockout();
  private devices: DeviceRow[] = [];
  private hash: string | undefined;

  private constructor(
    private readonly db: Database,
    private readonly clock: () => number,
  ) {}

  static async of(db: Database, clock: () => number = Date.now): Promise<Pairing> {
    const pairing = new Pairing(db, clock);
    await pairing.load();
    return pairing;
  }

  get hasPassphrase(): boolean {
    return this.hash !== undefined;
  }

  /** Devices that were paired, those that may not come in any more too. */
  list(): Device[] {
    return this.devices.map(({ id, name, role, pairedAt, seenAt, revokedAt }) => ({
      id,
      name,
      role,
      pairedAt,
      seenAt,
      revokedAt,
    }));
  }

  /** Opens a code for one device. */
  openCode(role: Role): { code: string; until: number } {
    const now = this.clock();
    const code = newCode();
    const until = now + CODE_MS;
    this.codes = [...this.codes.filter((each) => each.until > now), { hash: hashKey(code), role, until }];
    this.wrong = 0;
    return { code, until };
  }

  /**
   * Lets a device in that knows an open code, or the passphrase.
   *
   * @returns the device and its key, which is told this once
   * @throws Problem 403 for a wrong or used one, 429 after too many
   */
  async pair(told: { code?: string | undefined; passphrase?: string | undefined; name: string }, address: string) {
    const now = this.clock();
    for (const who of [address, EVERYBODY]) {
      const waitMs = told.code !== undefined && who === EVERYBODY ? 0 : this.lockout.waitMs(who, now);
      if (waitMs > 0) throw lockedOut(waitMs);
    }
    const role =
      told.code !== undefined ? this.roleOfCode(told.code, now) : await this.roleOfPassphrase(told.passphrase ?? '');
    if (!role) {
      this.lockout.failed(address, now);
      if (told.code === undefined) this.lockout.failed(EVERYBODY, now);
      throw new Problem(403, 'wrong-code', 'That code or passphrase is not right, or its five minutes are over.');
    }
    this.lockout.succeeded(address);
    this.lockout.succeeded(EVERYBODY);
    const key = newKey();
    const device = {
      id: uuidV7(),
      name: told.name,
      role,
      keyHash: hashKey(key),
      pairedAt: now,
      seenAt: now,
      revokedAt: null,
    };
    await this.db.write((transaction) => this.db.own.devices.create(device, { transaction }));
    this.devices = [...this.devices, device];
    const { keyHash: _, ...paired } = device;
    return { device: paired, key: `${device.id}.${key}` };
  }

  /** The device that a key belongs to, unless it may not come in any more. */
  deviceOf(told: string): Device | undefined {
    const [id = '', key = ''] = told.split('.');
    const device = this.devices.find((each) => each.id === id);
    if (!device || device.revokedAt !== null || !isKey(key, device.keyHash)) return undefined;
    this.seen(device);
    const { keyHash: _, ...known } = device;
    return known;
  }

  /** Whether a device that was let in may still come. */
  isIn(id: string): boolean {
    return this.devices.some((each) => each.id === id && each.revokedAt === null);
  }

  /** @returns whether there was such a device */
  async revoke(id: string): Promise<boolean> {
    const device = this.devices.find((each) => each.id === id);
    if (!device) return false;
    if (device.revokedAt !== null) return true;
    const revokedAt = this.clock();
    await this.db.write((transaction) => this.db.own.devices.update({ revokedAt }, { where: { id }, transaction }));
    device.revokedAt = revokedAt;
    return true;
  }

  async setPassphrase(passphrase: string): Promise<void> {
    const hash = await hashPassphrase(passphrase);
    const row = { id: 1, hash, setAt: this.clock() };
    await this.db.write((transaction) => this.db.own.passphrases.upsert(row, { transaction }));
    this.hash = hash;
  }

  private async load(): Promise<void> {
    const rows = await this.db.own.devices.findAll({ order: [['pairedAt', 'ASC']] });
    this.devices = rows.map((row) => row.get({ plain: true }));
    this.hash = (await this.db.own.passphrases.findByPk(1))?.get('hash') as string | undefined;
  }

  private roleOfCode(told: string, now: number): Role | undefined {
    const code = codeIn(told);
    const open = this.codes.find(({ hash, until }) => until > now && isKey(code, hash));
    if (open) {
      this.codes = this.codes.filter((each) => each !== open);
      return open.role;
    }
    this.wrong += 1;
    if (this.wrong >= WRONG_AT_MOST) this.codes = [];
    return undefined;
  }

  private async roleOfPassphrase(told: string): Promise<Role | undefined> {
    // Without one set the same work is done, so that nobody can tell.
    const kept = this.hash ?? `scrypt:${randomUUID()}:${randomUUID()}`;
    return (await isPassphrase(told, kept)) && this.hash !== undefined ? 'owner' : undefined;
  }

  private seen(device: DeviceRow): void {
    const now = this.clock();
    if (now - (device.seenAt ?? 0) < SEEN_MS) return;
    device.seenAt = now;
    const { id } = device;
    // It is only when it was seen last: a full disk does not keep it out.
    void this.db
      .write((transaction) => this.db.own.devices.update({ seenAt: now }, { where: { id }, transaction }))
      .catch(() => undefined);
  }
}

function lockedOut(waitMs: number): Problem {
  const minutes = Math.ceil(waitMs / 60_000);
  return new Problem(429, 'locked-out', `Too many wrong tries. Try again in ${minutes} min.`);
}
