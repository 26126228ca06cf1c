/** A mixed-integer linear model as plain data, for any solver. It is to be made as great as can be. */
export interface LinearModel {
  readonly columns: readonly LinearColumn[];
  readonly rows: readonly LinearRow[];
}

export interface LinearColumn {
  /** Its coefficient in what is to be made as great as can be. */
  readonly objective: number;
  readonly low: number;
  readonly high: number;
  readonly integer: boolean;
}

/** `low <= sum of terms <= high`. */
export interface LinearRow {
  readonly low: number;
  readonly high: number;
  /** Each column once. */
  readonly terms: readonly LinearTerm[];
}

/** Number of the column, and what it counts. */
export type LinearTerm = readonly [column: number, factor: number];

/** Writes down a model column by column and row by row. */
export class ModelWriter {
  private readonly columns: LinearColumn[] = [];
  private readonly rows: LinearRow[] = [];

  get model(): LinearModel {
    return { columns: this.columns, rows: this.rows };
  }

  /** @returns its number */
  column(objective: number, high: number, integer = false, low = 0): number {
    this.columns.push({ objective, low, high, integer });
    return this.columns.length - 1;
  }

  /** Terms of one column are added up; a row without any is left out. */
  row(low: number, terms: readonly LinearTerm[], high: number): void {
    const sums = new Map<number, number>();
    for (const [column, factor] of terms) sums.set(column, (sums.get(column) ?? 0) + factor);
    const kept = [...sums].filter(([, factor]) => factor !== 0);
    if (kept.length > 0) this.rows.push({ low, high, terms: kept });
  }
}
