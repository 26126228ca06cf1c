import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import * as v from 'valibot';
import { PassphraseRequest } from '@hoddle/contract/device';
import { Pairing } from '../access/pairing';
import { UnusableFile } from '../db/checkFile';
import { openDatabase } from '../db/openDatabase';
import { giveUp, householdFiles } from './household';
import { askRunning } from './running';

/** `npm run passphrase`: sets the household's passphrase, typed or from a pipe; it is not shown. */
const silent = new Writable({ write: (_piece, _coding, done) => done() });
process.stderr.write('The household’s passphrase, 12 characters or more: ');
const typed = await createInterface({
  input: process.stdin,
  output: silent,
  terminal: process.stdin.isTTY === true,
}).question('');
process.stderr.write('\n');
process.stdin.destroy();
const told = v.safeParse(PassphraseRequest, { passphrase: typed });
if (!told.success) giveUp(`A passphrase ${told.issues[0].message}.`);

const { file, backups } = householdFiles();
const asked = await askRunning(file, 'PUT', '/passphrase', told.output);
if (!asked) {
  const db = await openDatabase(file, { backups }).catch((error: unknown) =>
    giveUp(error instanceof UnusableFile ? error.message : String(error)),
  );
  await (await Pairing.of(db)).setPassphrase(told.output.passphrase);
  await db.close();
} else if (asked.status !== 204) giveUp('The running Hoddle did not take it: see its log.');
process.stdout.write('The passphrase is set.\n');
