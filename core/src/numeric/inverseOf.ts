/**
 * Inverse of a symmetric positive definite matrix, by its Cholesky factor.
 *
 * @param matrix n rows of n; only its lower half is read
 * @returns n rows of n, symmetric; null where the matrix is not positive definite
 * @see Golub and Van Loan, Matrix Computations, 4th ed., section 4.2 (memory)
 */
export function inverseOf(matrix: readonly (readonly number[])[]): number[][] | null {
  const n = matrix.length;
  const lower = Array.from({ length: n }, () => Array.from({ length: n }, () => 0));
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i]![j]!;
      for (let k = 0; k < j; k++) sum -= lower[i]![k]! * lower[j]![k]!;
      if (i === j && !(sum > 0)) return null;
      lower[i]![j] = i === j ? Math.sqrt(sum) : sum / lower[j]![j]!;
    }
  const columns = Array.from({ length: n }, (_, column) => {
    const x = Array.from({ length: n }, (__, i) => (i === column ? 1 : 0));
    for (let i = 0; i < n; i++) {
      for (let k = 0; k < i; k++) x[i]! -= lower[i]![k]! * x[k]!;
      x[i]! /= lower[i]![i]!;
    }
    for (let i = n - 1; i >= 0; i--) {
      for (let k = i + 1; k < n; k++) x[i]! -= lower[k]![i]! * x[k]!;
      x[i]! /= lower[i]![i]!;
    }
    return x;
  });
  return Array.from({ length: n }, (_, i) => columns.map((column) => column[i]!));
}
