import { type Literal, type ScheduleProblem } from './scheduleProblem';

/**
 * The Boolean decisions of a problem by number: decision k is told as k + 1 where it holds and as -(k + 1) where its opposite
 * does; 0 stands for what always holds. Clauses are lists of such numbers.
 */
export class Literals {
  readonly names: string[] = [];
  readonly clauses: number[][] = [];
  /** The two that an added decision tells at once, by its number less 1. */
  readonly conjoined = new Map<number, readonly [number, number]>();
  private readonly indexOf = new Map<string, number>();
  private readonly conjunctions = new Map<string, number>();

  /** 0 for a literal that is not told. */
  of(literal: Literal | undefined): number {
    if (literal === undefined) return 0;
    const isOpposite = literal.startsWith('!');
    const name = isOpposite ? literal.slice(1) : literal;
    const known = this.indexOf.get(name) ?? this.add(name);
    return isOpposite ? -known : known;
  }

  /** A literal that holds where both do; it may be false only where one of them is. */
  both(a: number, b: number): number {
    if (a === 0 || a === b) return b;
    if (b === 0) return a;
    const key = a < b ? `${a}&${b}` : `${b}&${a}`;
    const known = this.conjunctions.get(key);
    if (known !== undefined) return known;
    const own = this.add(`(${key})`);
    this.conjunctions.set(key, own);
    this.conjoined.set(own - 1, [a, b]);
    this.clauses.push([own, -a, -b], [-own, a], [-own, b]);
    return own;
  }

  private add(name: string): number {
    const own = this.names.push(name);
    this.indexOf.set(name, own);
    return own;
  }
}

/** The literals of a problem, with its own clauses and those that alternatives bring: exactly one of a task's modes. */
export function literalsOf({ tasks, clauses = [] }: ScheduleProblem): Literals {
  const literals = new Literals();
  for (const clause of clauses) literals.clauses.push(clause.map((literal) => literals.of(literal)));
  for (const { presence, modes } of tasks) {
    const present = literals.of(presence);
    if (!modes) continue;
    const whens = modes.map(({ when }) => literals.of(when));
    literals.clauses.push(present === 0 ? [...whens] : [...whens, -present]);
    for (const [k, when] of whens.entries()) {
      for (const other of whens.slice(k + 1)) literals.clauses.push([-when, -other]);
      if (present !== 0) literals.clauses.push([-when, present]);
    }
  }
  return literals;
}
