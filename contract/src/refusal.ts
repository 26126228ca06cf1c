import * as v from 'valibot';

const Sentence = v.pipe(v.string(), v.minLength(1));

/** An expected "no": why, and what instead. */
export const BareRefusal = v.strictObject({
  kind: v.literal('refusal'),
  reason: Sentence,
  instead: v.pipe(v.array(v.string()), v.readonly()),
});

/** A "no" of the tested look-up: never without a way out. */
export const ProcessRefusal = v.strictObject({
  kind: v.literal('refusal'),
  cause: v.picklist([
    'unknown-product',
    'unknown-pack',
    'unknown-jar',
    'unknown-method',
    'never',
    'not-a-process',
    'low-acid',
    'no-pressure-row',
    'no-low-temperature-row',
    'formula-unsure',
    'pack-untested',
    'jar-too-large',
    'steam-too-long',
    'dial-too-high',
    'pressure-not-recommended',
    'changed',
    'own-band-missing',
    'own-untested',
    'own-refused',
  ]),
  reason: Sentence,
  instead: v.pipe(v.array(v.string()), v.minLength(1), v.readonly()),
});
