/** Why there is no tested process, for programs; the sentence for people is beside it. */
export type RefusalCause =
  | 'unknown-product'
  | 'unknown-pack'
  | 'unknown-jar'
  | 'unknown-method'
  | 'never'
  | 'not-a-process'
  | 'low-acid'
  | 'no-pressure-row'
  | 'no-low-temperature-row'
  | 'formula-unsure'
  | 'pack-untested'
  | 'jar-too-large'
  | 'steam-too-long'
  | 'dial-too-high'
  | 'pressure-not-recommended'
  | 'changed'
  | 'own-band-missing'
  | 'own-untested'
  | 'own-refused';

export interface Refusal {
  readonly kind: 'refusal';
  readonly cause: RefusalCause;
  /** A sentence. */
  readonly reason: string;
  /** Ways out: ids of products, jars and methods, or short sentences. Never empty. */
  readonly instead: string[];
}

export function refusal(cause: RefusalCause, reason: string, instead: string[]): Refusal {
  return { kind: 'refusal', cause, reason, instead };
}

/** What was asked, cut to a length that a sentence bears. */
export function quoted(text: string): string {
  return `"${text.length > 60 ? `${text.slice(0, 59)}…` : text}"`;
}
