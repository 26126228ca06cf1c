/** A lower triangle by rows, so that L times its transpose is the matrix. */
export type Cholesky = readonly Float64Array[];

/**
 * Factor of a symmetric positive definite matrix given by its entries. Golub and Van Loan, Matrix Computations, 4.2.
 *
 * @throws RangeError when the matrix is not positive definite: the caller has a bug
 */
export function choleskyOf(size: number, entry: (i: number, j: number) => number): Cholesky {
  const rows: Float64Array[] = [];
  for (let i = 0; i < size; i++) {
    const row = new Float64Array(i + 1);
    for (let j = 0; j <= i; j++) {
      const other = j === i ? row : (rows[j] as Float64Array);
      let sum = entry(i, j);
      for (let k = 0; k < j; k++) sum -= (row[k] as number) * (other[k] as number);
      if (i !== j) row[j] = sum / (other[j] as number);
      else if (sum > 0) row[i] = Math.sqrt(sum);
      else throw new RangeError(`not positive definite at row ${i}`);
    }
    rows.push(row);
  }
  return rows;
}

/** The x with (L times its transpose) x = b. */
export function solveWith(factor: Cholesky, b: readonly number[]): number[] {
  const x = [...b];
  for (const [i, row] of factor.entries()) {
    for (let k = 0; k < i; k++) x[i] = (x[i] as number) - (row[k] as number) * (x[k] as number);
    x[i] = (x[i] as number) / (row[i] as number);
  }
  for (let i = factor.length - 1; i >= 0; i--) {
    for (let k = i + 1; k < factor.length; k++)
      x[i] = (x[i] as number) - ((factor[k] as Float64Array)[i] as number) * (x[k] as number);
    x[i] = (x[i] as number) / ((factor[i] as Float64Array)[i] as number);
  }
  return x;
}

/** Half the log of the matrix's determinant. */
export function halfLogDeterminant(factor: Cholesky): number {
  return factor.reduce((sum, row, i) => sum + Math.log(row[i] as number), 0);
}
