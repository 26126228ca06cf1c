import QRCode from 'qrcode';
import { type PairingCode, ROLES } from '@hoddle/contract/device';
import { giveUp, householdFiles } from './household';
import { askRunning } from './running';

/** `npm run pair -- [looker|cook|owner]`: shows a code in the terminal that lets one device in within five minutes. */
const role = process.argv[2] ?? 'cook';
if (!(ROLES as readonly string[]).includes(role)) giveUp(`A device is one of: ${ROLES.join(', ')}.`);
const asked = await askRunning(householdFiles().file, 'POST', '/pairing-codes', { role });
if (!asked) giveUp('No Hoddle runs on this file: start it first.');
if (asked.status !== 201) giveUp('The running Hoddle did not open a code: see its log.');
const { code, addresses } = asked.body as PairingCode;
const [first] = addresses;
if (first === undefined) giveUp('It only listens to this machine: set HOST, so that a phone can reach it.');
process.stdout.write(`${await QRCode.toString(`${first}/pair#${code}`, { type: 'terminal', small: true })}\n`);
process.stdout.write(`Or open one of these and type ${code.slice(0, 4)}-${code.slice(4)} within five minutes:\n`);
for (const address of addresses) process.stdout.write(`  ${address}\n`);
