import { chosen } from './chosen';
import { type CompiledProblem } from './compiledProblem';
import { blocksOf } from './serialScheduleGeneration';

/** Problems with their decisions made that are kept. */
const MOST_LAYOUTS = 200;

/** A problem with its decisions made, and what of it is laid down as one. */
export interface Layout {
  readonly problem: CompiledProblem;
  readonly blocks: readonly (readonly number[])[];
}

/** The layouts of a problem by its decisions: kept, since the same come again and again. */
export class Layouts {
  private readonly known = new Map<string, Layout>();

  constructor(private readonly problem: CompiledProblem) {}

  of(decisions: readonly boolean[]): Layout {
    const key = decisions.map(Number).join('');
    const known = this.known.get(key);
    if (known) return known;
    const problem = this.problem.literals.length === 0 ? this.problem : chosen(this.problem, decisions);
    const own = { problem, blocks: blocksOf(problem) };
    if (this.known.size >= MOST_LAYOUTS) this.known.clear();
    this.known.set(key, own);
    return own;
  }
}
