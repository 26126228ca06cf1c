/** Why a bound rose. */
export const DECIDED = 0;
export const BY_CLAUSE = 1;
export const BY_DIFFERENCE = 2;
/** By a list of facts that were noted when it rose. */
export const BY_FACTS = 3;

/**
 * The bounds of whole-number variables, with a trail to go back on.
 *
 * A variable v has two variables of bounds: boundVar 2v is its least value, boundVar 2v + 1 is minus its largest. So every literal is
 * of one kind, boundVar >= bound, and its opposite is told of the other one: not (boundVar >= b) is (boundVar ^ 1) >= 1 - b.
 */
export class Bounds {
  /** Where each bound variable stands now. It only rises, until it is taken back. */
  readonly at: Int32Array;
  /** The trail: which bound variable rose, to what, from what, and why. */
  boundVar = new Int32Array(1024);
  value = new Int32Array(1024);
  before = new Int32Array(1024);
  reasonKind = new Uint8Array(1024);
  reason = new Int32Array(1024);
  length = 0;
  /** Told of each variable that is open again. */
  heap: { back(variable: number): void } | undefined;
  /** Length of the trail where each level begins; level 0 holds whatever is decided. */
  readonly levels: number[] = [];
  private readonly last: Int32Array;
  private earlier = new Int32Array(1024);

  constructor(least: readonly number[], most: readonly number[]) {
    this.at = new Int32Array(2 * least.length);
    this.last = new Int32Array(2 * least.length).fill(-1);
    least.forEach((value, v) => {
      this.at[2 * v] = value;
      this.at[2 * v + 1] = -most[v];
    });
  }

  get level(): number {
    return this.levels.length;
  }

  /** Length of the trail that holds at every level. */
  get rootLength(): number {
    return this.levels[0] ?? this.length;
  }

  holds(boundVar: number, bound: number): boolean {
    return this.at[boundVar] >= bound;
  }

  /** Whether (boundVar >= bound) can no longer become true. */
  fails(boundVar: number, bound: number): boolean {
    return this.at[boundVar ^ 1] > -bound;
  }

  raise(boundVar: number, bound: number, reasonKind: number, reason: number): void {
    if (this.length === this.boundVar.length) this.grow();
    const t = this.length++;
    this.boundVar[t] = boundVar;
    this.value[t] = bound;
    this.before[t] = this.at[boundVar];
    this.reasonKind[t] = reasonKind;
    this.reason[t] = reason;
    this.earlier[t] = this.last[boundVar];
    this.last[boundVar] = t;
    this.at[boundVar] = bound;
  }

  /** Place on the trail where (boundVar >= bound), which holds, became true; -1 if it always was. */
  placeOf(boundVar: number, bound: number): number {
    let t = this.last[boundVar];
    while (t >= 0 && this.before[t] >= bound) t = this.earlier[t];
    return t;
  }

  levelOf(place: number): number {
    let low = 0;
    let high = this.levels.length;
    while (low < high) {
      const mid = (low + high) >> 1;
      if (this.levels[mid] <= place) low = mid + 1;
      else high = mid;
    }
    return low;
  }

  undoTo(level: number): void {
    if (level >= this.levels.length) return;
    const keep = this.levels[level];
    for (let t = this.length - 1; t >= keep; t--) {
      const boundVar = this.boundVar[t];
      this.at[boundVar] = this.before[t];
      this.last[boundVar] = this.earlier[t];
      this.heap?.back(boundVar >> 1);
    }
    this.length = keep;
    this.levels.length = level;
  }

  /** Forgets how the bounds of level 0 came about: they need no reasons any more. */
  settleRoot(): void {
    this.length = 0;
    this.last.fill(-1);
  }

  private grow(): void {
    const wider = <T extends Int32Array | Uint8Array>(old: T): T => {
      const next = new (old.constructor as new (n: number) => T)(old.length * 2);
      next.set(old);
      return next;
    };
    this.boundVar = wider(this.boundVar);
    this.value = wider(this.value);
    this.before = wider(this.before);
    this.reasonKind = wider(this.reasonKind);
    this.reason = wider(this.reason);
    this.earlier = wider(this.earlier);
  }
}
