/**
 * Variables by their activity, the most active on top: what was in the way most lately is decided next. A variable that is
 * decided is taken out when it comes to the top, and comes back when its decision is undone. Moskewicz, Madigan, Zhao, Zhang and
 * Malik 2001 (VSIDS), with the heap of Eén and Sörensson 2003.
 */
export class ActivityHeap {
  private readonly heap: number[] = [];
  /** Place in the heap by variable; -1 for one that is out of it, -2 for one that never is in it. */
  private readonly place: Int32Array;

  constructor(private readonly activity: Float64Array) {
    this.place = new Int32Array(activity.length).fill(-2);
  }

  /** From now on these are kept in order. */
  watch(variables: Iterable<number>): void {
    for (const v of variables) {
      if (this.place[v] !== -2) continue;
      this.place[v] = -1;
      this.back(v);
    }
  }

  /** A variable is open again. */
  back(v: number): void {
    if (this.place[v] !== -1) return;
    this.place[v] = this.heap.push(v) - 1;
    this.up(this.place[v]);
  }

  /** A variable has become more active. */
  risen(v: number): void {
    const k = this.place[v];
    if (k >= 0) this.up(k);
  }

  /** The most active variable that is open, which stays; undefined when all are decided. */
  top(isOpen: (v: number) => boolean): number | undefined {
    for (;;) {
      const v = this.heap[0];
      if (v === undefined || isOpen(v)) return v;
      this.place[v] = -1;
      const last = this.heap.pop() as number;
      if (last === v) continue;
      this.heap[0] = last;
      this.place[last] = 0;
      this.down(0);
    }
  }

  private up(from: number): void {
    const { heap, place, activity } = this;
    const v = heap[from];
    const own = activity[v];
    let k = from;
    while (k > 0) {
      const parent = (k - 1) >> 1;
      const other = heap[parent];
      if (activity[other] >= own) break;
      heap[k] = other;
      place[other] = k;
      k = parent;
    }
    heap[k] = v;
    place[v] = k;
  }

  private down(from: number): void {
    const { heap, place, activity } = this;
    const v = heap[from];
    const own = activity[v];
    let k = from;
    for (;;) {
      let child = 2 * k + 1;
      if (child >= heap.length) break;
      const right = child + 1;
      if (right < heap.length && activity[heap[right]] > activity[heap[child]]) {
        child = right;
      }
      const other = heap[child];
      if (activity[other] <= own) break;
      heap[k] = other;
      place[other] = k;
      k = child;
    }
    heap[k] = v;
    place[v] = k;
  }
}
