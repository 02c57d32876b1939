/** Nodes and weights of a quadrature on −1…1, ascending. */
export interface Quadrature {
  readonly nodes: readonly number[];
  readonly weights: readonly number[];
}

/**
 * Gauss–Legendre quadrature, exact for polynomials of degree 2·count − 1.
 *
 * @param count number of nodes, 1 or more
 * @see Press et al., Numerical Recipes, 3rd ed., §4.6.1: Newton on the Legendre recurrence
 */
export function gaussLegendre(count: number): Quadrature {
  const nodes: number[] = [];
  const weights: number[] = [];
  for (let i = count; i >= 1; i--) {
    let x = Math.cos((Math.PI * (i - 0.25)) / (count + 0.5));
    let slope = 1;
    for (let step = 0; step < 100; step++) {
      let current = 1;
      let previous = 0;
      for (let k = 0; k < count; k++) {
        const next = ((2 * k + 1) * x * current - k * previous) / (k + 1);
        previous = current;
        current = next;
      }
      slope = (count * (x * current - previous)) / (x * x - 1);
      const shift = current / slope;
      x -= shift;
      if (Math.abs(shift) < 1e-15) break;
    }
    nodes.push(x);
    weights.push(2 / ((1 - x * x) * slope * slope));
  }
  return { nodes, weights };
}
