import { DomainError } from '../errors.ts';

/**
 * Where a continuous function crosses zero, by Brent's method.
 *
 * @param input.f the function
 * @param input.low one end of the interval
 * @param input.high the other end; f must have opposite signs (or a zero) at the two ends
 * @param input.tolerance absolute, in x; default 1e-12 of the interval
 * @throws {DomainError} no_bracket
 * @see Brent 1973, Algorithms for Minimization without Derivatives, ch. 4
 */
export function findRoot(input: {
  f: (x: number) => number;
  low: number;
  high: number;
  tolerance?: number;
}): number {
  const { f, low, high, tolerance = 1e-12 * Math.abs(high - low) } = input;
  let [a, b] = [low, high];
  let [fa, fb] = [f(a), f(b)];
  if (fa === 0) return a;
  if (fb === 0) return b;
  // By sign: a product of two tiny values would vanish.
  if (Math.sign(fa) !== -Math.sign(fb))
    throw new DomainError('no_bracket', { low, high, atLow: fa, atHigh: fb });
  let [c, fc] = [a, fa];
  let step = b - a;
  let before = step;
  for (let round = 0; round < 200; round++) {
    if (Math.sign(fb) === Math.sign(fc)) {
      [c, fc] = [a, fa];
      step = before = b - a;
    }
    if (Math.abs(fc) < Math.abs(fb)) {
      [a, b, c] = [b, c, b];
      [fa, fb, fc] = [fb, fc, fb];
    }
    const near = 2 * Number.EPSILON * Math.abs(b) + tolerance / 2;
    const half = (c - b) / 2;
    if (Math.abs(half) <= near || fb === 0) return b;
    if (Math.abs(before) >= near && Math.abs(fa) > Math.abs(fb)) {
      const s = fb / fa;
      let p: number;
      let q: number;
      if (a === c) {
        p = 2 * half * s;
        q = 1 - s;
      } else {
        const u = fa / fc;
        const r = fb / fc;
        p = s * (2 * half * u * (u - r) - (b - a) * (r - 1));
        q = (u - 1) * (r - 1) * (s - 1);
      }
      if (p > 0) q = -q;
      p = Math.abs(p);
      // Does interpolation stay inside and shrink fast enough?
      if (2 * p < Math.min(3 * half * q - Math.abs(near * q), Math.abs(before * q))) {
        before = step;
        step = p / q;
      } else {
        step = before = half;
      }
    } else {
      step = before = half;
    }
    [a, fa] = [b, fb];
    b += Math.abs(step) > near ? step : Math.sign(half) * near;
    fb = f(b);
  }
  return b;
}
