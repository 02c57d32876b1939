/** Numbers that look random and are the same for the same seed. */
export interface Random {
  /** Uniform over 0…1, without 1. */
  readonly uniform: () => number;
  /** Standard normal. */
  readonly normal: () => number;
}

/**
 * A seeded generator: xoshiro128**, normals by the polar method of Marsaglia.
 *
 * @param seed any whole number
 * @see Blackman and Vigna 2021, ACM Trans. Math. Softw. 47, 36; seeded by SplitMix32
 */
export function createRandom(seed: number): Random {
  let mixed = seed | 0;
  const split = (): number => {
    mixed = (mixed + 0x9e3779b9) | 0;
    let z = mixed;
    z = Math.imul(z ^ (z >>> 16), 0x85ebca6b);
    z = Math.imul(z ^ (z >>> 13), 0xc2b2ae35);
    return z ^ (z >>> 16);
  };
  let [a, b, c, d] = [split(), split(), split(), split()];
  const rotate = (x: number, by: number): number => (x << by) | (x >>> (32 - by));
  const uniform = (): number => {
    const result = Math.imul(rotate(Math.imul(b, 5), 7), 9);
    const shifted = b << 9;
    c ^= a;
    d ^= b;
    b ^= c;
    a ^= d;
    c ^= shifted;
    d = rotate(d, 11);
    return (result >>> 0) / 4_294_967_296;
  };
  let spare: number | null = null;
  return {
    uniform,
    normal: () => {
      if (spare !== null) {
        const kept = spare;
        spare = null;
        return kept;
      }
      for (;;) {
        const [x, y] = [2 * uniform() - 1, 2 * uniform() - 1];
        const r = x * x + y * y;
        if (r >= 1 || r === 0) continue;
        const scale = Math.sqrt((-2 * Math.log(r)) / r);
        spare = y * scale;
        return x * scale;
      }
    },
  };
}
