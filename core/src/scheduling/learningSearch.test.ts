import fc from 'fast-check';
import { ClauseDatabase } from './clauseDatabase';
import { Bounds } from './bounds';
import { LearningSearch } from './learningSearch';

/** Rules over a few variables, each from 0 to its most: small enough to try every value of every one. */
interface Rules {
  readonly most: readonly number[];
  readonly clauses: readonly (readonly (readonly [boundVar: number, bound: number])[])[];
  readonly differences: readonly Difference[];
  readonly holes: readonly (readonly [variable: number, first: number, last: number])[];
}

/** to >= from + gap, always (ifVar -1) or as soon as (ifVar >= ifBound). */
type Difference = readonly [from: number, to: number, gap: number, ifVar: number, ifBound: number];

const MOST = 2;

const rulesOf = (variables: number) =>
  fc.record<Rules>({
    most: fc.array(fc.integer({ min: 1, max: MOST }), { minLength: variables, maxLength: variables }),
    clauses: fc.array(fc.array(literalOf(variables), { minLength: 3, maxLength: 4 }), { minLength: 16, maxLength: 50 }),
    differences: fc.array(
      fc
        .tuple(fc.nat(variables - 1), fc.nat(variables - 1), fc.integer({ min: -1, max: 1 }), literalOf(variables))
        .map(([from, to, gap, when]) => (gap < 0 ? [from, to, gap, -1, 0] : [from, to, gap, ...when]) as Difference),
      { minLength: 4, maxLength: 16 },
    ),
    holes: fc.array(
      fc.tuple(fc.nat(variables - 1), fc.integer({ min: 1, max: MOST })).map(([v, at]) => [v, at, at] as const),
      { maxLength: 3 },
    ),
  });

/** At least so much, or at most so much, of one variable. */
function literalOf(variables: number) {
  return fc
    .tuple(fc.nat(variables - 1), fc.integer({ min: 1, max: MOST }), fc.boolean())
    .map(([v, value, isLeast]): [number, number] => (isLeast ? [2 * v, value] : [2 * v + 1, 1 - value]));
}

const isTrue = (values: readonly number[], boundVar: number, bound: number) => {
  const value = values[boundVar >> 1] ?? 0;
  return (boundVar % 2 === 0 ? value : -value) >= bound;
};

/** All values that keep the rules, by trying each. */
function solutions({ most, clauses, differences, holes }: Rules): number[][] {
  const all = most.reduce<number[][]>(
    (values, high) => values.flatMap((own) => Array.from({ length: high + 1 }, (_, value) => [...own, value])),
    [[]],
  );
  return all.filter(
    (values) =>
      clauses.every((clause) => clause.some(([boundVar, bound]) => isTrue(values, boundVar, bound))) &&
      differences.every(
        ([from, to, gap, ifVar, ifBound]) =>
          (ifVar >= 0 && !isTrue(values, ifVar, ifBound)) || (values[to] ?? 0) >= (values[from] ?? 0) + gap,
      ) &&
      holes.every(([v, first, last]) => (values[v] ?? 0) < first || (values[v] ?? 0) > last),
  );
}

function searchOf({ most, clauses, differences, holes }: Rules, mostLearned: number): LearningSearch {
  const search = new LearningSearch(
    most.map(() => 0),
    most,
    mostLearned,
  );
  for (const rule of differences) search.addDifference(...rule);
  for (const v of most.keys()) {
    const own = [...new Set(holes.filter(([variable]) => variable === v).map(([, first]) => first))].sort();
    // Those that touch are one.
    const apart = own.filter((at) => !own.includes(at - 1));
    search.addForbiddenStarts(
      v,
      apart.map((first) => {
        let last = first;
        while (own.includes(last + 1)) last++;
        return [first, last] as const;
      }),
    );
  }
  for (const clause of clauses) search.addClause(clause.flat());
  return search;
}

/** The first variable that is open, its lower half first. */
const chooseIn = (search: LearningSearch, variables: number) => () => {
  const { at } = search.bounds;
  for (let v = 0; v < variables; v++) {
    const [least = 0, most = 0] = [at[2 * v], -(at[2 * v + 1] ?? 0)];
    if (least < most) return v % 2 === 0 ? ([2 * v, most] as const) : ([2 * v + 1, -least] as const);
  }
  return undefined;
};

const VARIABLES = 8;

test('the search finds values exactly where there are some, and every clause it learns holds in all of them; with room for two clauses too', () => {
  let conflicts = 0;
  let learned = 0;
  fc.assert(
    fc.property(rulesOf(VARIABLES), fc.array(literalOf(VARIABLES), { maxLength: 2 }), (rules, assumed) => {
      const all = solutions(rules);
      for (const mostLearned of [2, 4_000]) {
        const search = searchOf(rules, mostLearned);
        const choose = chooseIn(search, VARIABLES);
        const under = all.filter((values) => assumed.every(([boundVar, bound]) => isTrue(values, boundVar, bound)));
        // Assumptions are of one run: what is learned under them holds without them too.
        expect(search.run(choose, 1e6, assumed.flat())).toBe(under.length > 0 ? 'found' : 'impossible');
        expect(search.run(choose, 1e6)).toBe(all.length > 0 ? 'found' : 'impossible');
        if (all.length > 0) {
          const values = rules.most.map((_, v) => search.bounds.at[2 * v] ?? 0);
          expect(all).toContainEqual(values);
        }
        for (const clause of search.learnedClauses) {
          const pairs = Array.from({ length: clause.length / 2 }, (_, k) => [
            clause[2 * k] ?? 0,
            clause[2 * k + 1] ?? 0,
          ]);
          const isKept = (values: number[]) =>
            pairs.some(([boundVar = 0, bound = 0]) => isTrue(values, boundVar, bound));
          expect(all.every(isKept)).toBe(true);
        }
        conflicts += search.conflicts;
        learned += search.learnedClauses.length;
      }
    }),
    { numRuns: 500, seed: 24, unbiased: true },
  );
  // The rules are hard enough to teach something.
  expect(conflicts).toBeGreaterThan(1_000);
  expect(learned).toBeGreaterThan(200);
});

test('all solutions are found one after the other, each shut out by a clause of its own, and none twice', () => {
  fc.assert(
    fc.property(rulesOf(4), (rules) => {
      const all = solutions(rules).map(String);
      const search = searchOf(rules, 3);
      const choose = chooseIn(search, 4);
      const found: string[] = [];
      while (found.length <= all.length && search.run(choose, 1e6) === 'found') {
        const values = rules.most.map((_, v) => search.bounds.at[2 * v] ?? 0);
        found.push(String(values));
        search.undoTo(0);
        search.addClause(values.flatMap((value, v) => [2 * v, value + 1, 2 * v + 1, 1 - value]));
      }
      expect(found.sort()).toEqual(all.sort());
    }),
    { numRuns: 150, seed: 25 },
  );
});

test('of learned clauses the half that was used least goes, those over few levels stay', () => {
  const database = new ClauseDatabase(new Bounds([0, 0, 0], [1, 1, 1]), 4);
  const glue = database.learn([0, 1, 2, 1], 2);
  for (let k = 0; k < 6; k++) {
    database.bump = 1 + k;
    database.learn([0, 1, 2, 1, 4, 1], 4);
  }
  expect(database.isFull).toBe(true);
  const [first, , ...rest] = database.learnedClauses;
  database.reduce();
  expect(database.learnedClauses).toEqual([first, ...rest.slice(-3)]);
  expect(glue).toBe(0);
});
