/** Why something may not be: a code for programs, a sentence for people, and the field that it is about. */
export interface Fault {
  readonly code: string;
  readonly sentence: string;
  readonly field?: string;
}

/** The first that is one. */
export function firstFault(...faults: readonly (() => Fault | undefined)[]): Fault | undefined {
  for (const each of faults) {
    const fault = each();
    if (fault) return fault;
  }
  return undefined;
}
