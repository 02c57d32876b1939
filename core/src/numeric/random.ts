import { randomLcg, randomNormal } from 'd3-random';

/** Numbers that look random and are the same for the same seed. */
export interface Random {
  /** Uniform over 0…1, without 1. */
  readonly uniform: () => number;
  /** Standard normal. */
  readonly normal: () => number;
}

/**
 * A seeded generator: d3's linear congruential one, normals by its polar method.
 *
 * @param seed any whole number
 */
export function createRandom(seed: number): Random {
  const uniform = randomLcg(seed);
  return { uniform, normal: randomNormal.source(uniform)() };
}
