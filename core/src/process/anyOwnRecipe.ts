import fc from 'fast-check';
import { ROLES, type Fate } from '../handbook/cards/card';
import { type CardAmount } from '../handbook/cards/cardAmount';
import { CROP_IDS } from '../handbook/crops';
import { JAR_SIZES } from '../handbook/jars';
import { handbookRole } from '../recipe/own/handbookRole';
import { OCCUPIES, OPEN_QUESTIONS, type OwnLine, type OwnStep } from '../recipe/own/recipePage';
import { SOURCE_KINDS } from './householdSource';
import { METHODS } from './method';
import { type OwnRecipe } from './ownRecipe';
import { bandsOf } from './withOwnSource';

const ENTRIES = [
  'wash',
  'chop',
  'slice',
  'salt-ice-3h',
  'drain',
  'simmer-20',
  'boil-brine',
  'raw-pack',
  'fill',
  'measure-juice',
  'boil-1-hard',
];

const amount: fc.Arbitrary<CardAmount> = fc.oneof(
  fc
    .double({ min: 0.25, max: 24, noNaN: true })
    .map((cups): CardAmount => ({ of: 'ml', low: cups * 236.588, high: cups * 236.588, unit: 'cup' })),
  fc
    .double({ min: 0.25, max: 30, noNaN: true })
    .map((lb): CardAmount => ({ of: 'kg', low: lb * 0.4536, high: lb * 0.4536, unit: 'lb' })),
  fc
    .integer({ min: 1, max: 40 })
    .map((count): CardAmount => ({ of: 'pieces', low: count, high: count, unit: 'piece' })),
  fc.constantFrom('to taste', 'some').map((words): CardAmount => ({ of: 'words', words })),
);

const fate = fc.constantFrom<Fate>('jar', 'jar', 'jar', 'per-jar', 'drained', 'taken-out');

/** A line as a household may have set it: any role that its crop may have, anything open. */
function line(stepIds: readonly string[]): fc.Arbitrary<Omit<OwnLine, 'id'>> {
  return fc
    .record({
      crop: fc.option(fc.constantFrom(...CROP_IDS), { nil: undefined }),
      role: fc.constantFrom(...ROLES),
      amount,
      then: fate,
      into: fc.constantFrom(...stepIds, ''),
      weak: fc.boolean(),
      open: fc.oneof(
        { weight: 24, arbitrary: fc.constant(undefined) },
        { weight: 1, arbitrary: fc.constantFrom(...OPEN_QUESTIONS) },
      ),
      optional: fc.boolean(),
    })
    .map(({ crop, role, weak, open, optional, ...rest }) => ({
      ...rest,
      text: `${crop ?? role} as written`,
      item: crop ?? role,
      crops: crop ? [crop] : [],
      role: crop && role === 'acid-food' ? handbookRole(crop) : role,
      ...(weak && role === 'vinegar' && { weak: true as const }),
      ...(open && { open }),
      ...(optional && { optional: true as const }),
    }));
}

const steps: fc.Arbitrary<OwnStep[]> = fc
  .array(
    fc.record({
      entry: fc.option(fc.constantFrom(...ENTRIES), { nil: undefined }),
      wait: fc.option(fc.integer({ min: 1, max: 2_000 }), { nil: undefined }),
      occupies: fc.subarray([...OCCUPIES, 'dehydrator'], { maxLength: 2 }),
      beside: fc.boolean(),
    }),
    { minLength: 1, maxLength: 8 },
  )
  .map((all) =>
    all.map(({ entry, wait, occupies, beside }, i) => ({
      id: `s${i + 1}`,
      text: entry ?? `own step ${i + 1}`,
      ...(entry !== undefined && { entry }),
      ...(wait !== undefined && { wait: [wait, wait + 10] as const }),
      occupies: entry === undefined ? occupies : [],
      ...(beside && i > 1 && { after: [`s${i - 1}`] }),
    })),
  );

const source = fc
  .record({
    title: fc.constantFrom('Preserving at home', 'A valley leaflet', 'Jellies', ''),
    kind: fc.constantFrom(...SOURCE_KINDS, 'tested-book', 'extension', 'government'),
    page: fc.constantFrom('31', '7 to 9', '112', ''),
    method: fc.constantFrom(...METHODS),
    jar: fc.constantFrom(...JAR_SIZES),
    minutes: fc.array(fc.option(fc.integer({ min: 1, max: 90 }), { nil: undefined, freq: 4 }), {
      minLength: 5,
      maxLength: 5,
    }),
  })
  .map(({ minutes, ...rest }) => ({
    ...rest,
    bands: bandsOf(rest.method).flatMap(({ upToFt }, i) => {
      const own = minutes[i];
      const pressure = rest.method.startsWith('pressure') ? { pressurePsi: 11 } : {};
      return own === undefined ? [] : [{ upToFt: upToFt === Infinity ? null : upToFt, minutes: own, ...pressure }];
    }),
  }));

/** Any page a household may have written down, tested or not, for properties. */
export const anyOwnRecipe: fc.Arbitrary<OwnRecipe> = steps.chain((own) =>
  fc
    .record({
      id: fc.uuid({ version: 7 }),
      revision: fc.integer({ min: 1, max: 5 }),
      lines: fc.array(line(own.map(({ id }) => id)), { minLength: 1, maxLength: 9 }),
      jar: fc.constantFrom(...JAR_SIZES),
      low: fc.integer({ min: 1, max: 12 }),
      over: fc.integer({ min: 0, max: 4 }),
      source: fc.option(source, { nil: undefined, freq: 5 }),
      ready: fc.integer({ min: 0, max: 30 }),
    })
    .map(({ id, revision, lines, jar, low, over, source: from, ready }): OwnRecipe => ({
      ...{ id, revision, name: 'Grandmother’s jars', draft: false, unread: [], fillings: [], headspaceIn: 0.5 },
      lines: lines.map((each, i) => ({ ...each, id: `l${i + 1}` })),
      steps: own,
      yields: { low, high: low + over, jar },
      pack: own.some(({ entry }) => entry === 'raw-pack') ? 'raw' : 'hot',
      readyDays: [ready, ready],
      ...(from && { source: from }),
    })),
);
