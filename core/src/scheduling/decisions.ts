/**
 * Decisions that keep all clauses, as near to those wished as goes: told one after the other, each followed by what it leaves no
 * choice about (unit propagation, Davis, Logemann and Loveland 1962), without going back.
 *
 * @param first literals that are told before all others
 * @returns undefined where that ends in a contradiction: there may be others all the same
 */
export function decisionsNear(
  wished: readonly boolean[],
  clauses: readonly (readonly number[])[],
  first: readonly number[] = [],
): boolean[] | undefined {
  const value = new Int8Array(wished.length);
  const inClauses = wished.map((): number[] => []);
  for (const [c, clause] of clauses.entries()) {
    for (const literal of clause) inClauses[Math.abs(literal) - 1]?.push(c);
  }
  const queue: number[] = [];
  const tell = (literal: number): boolean => {
    const k = Math.abs(literal) - 1;
    const sign = literal > 0 ? 1 : -1;
    if (value[k] === 0) {
      value[k] = sign;
      queue.push(k);
    }
    return value[k] === sign;
  };
  const look = (clause: readonly number[]): boolean => {
    let open = 0;
    let last = 0;
    for (const literal of clause) {
      const own = value[Math.abs(literal) - 1];
      if (own === Math.sign(literal)) return true;
      if (own !== 0) continue;
      open++;
      last = literal;
    }
    return open > 1 || (open === 1 && tell(last));
  };
  const propagate = (): boolean => {
    for (let k = queue.pop(); k !== undefined; k = queue.pop()) {
      for (const c of inClauses[k]) if (!look(clauses[c])) return false;
    }
    return true;
  };
  if (!clauses.every(look) || !propagate()) return undefined;
  // A literal that holds settles more than one that does not.
  const inOrder = [...first, ...wished.flatMap((own, k) => (own ? [k + 1] : [])), ...wished.map((_, k) => -(k + 1))];
  for (const literal of inOrder) {
    const k = Math.abs(literal) - 1;
    if (value[k] !== 0) continue;
    tell(literal);
    if (!propagate()) return undefined;
  }
  return Array.from(value, (own) => own > 0);
}
