import { createRandom } from '../numeric/random.ts';
import type { BlindKind } from './blindKinds.ts';
import type { Serving } from './schema.ts';

type Side = 'A' | 'B';
const orders = (...texts: string[]): readonly (readonly Side[])[] =>
  texts.map((text) => [...text] as Side[]);

/** Every order in which cups can stand; of a duo-trio the first one is the reference. */
const ORDERS: Readonly<Record<BlindKind, readonly (readonly Side[])[]>> = {
  triangle: orders('AAB', 'ABA', 'BAA', 'BBA', 'BAB', 'ABB'),
  'duo-trio': orders('AAB', 'ABA', 'BAB', 'BBA'),
  preference: orders('AB', 'BA'),
};

/**
 * Servings of a blind comparison: every order as often as every other, as far as the number of tasters
 * lets them, in a random sequence, with codes of three digits that come once.
 *
 * @param input.tasters 1 to 200
 * @param input.seed any whole number: the same one gives the same plan
 * @see ISO 4120, ISO 10399, ISO 5495 (memory): balanced presentation, random codes
 */
export function blindPlan(input: { kind: BlindKind; tasters: number; seed: number }): Serving[] {
  const { kind, tasters, seed } = input;
  const random = createRandom(seed);
  const shuffled = <T>(all: readonly T[]): T[] =>
    all
      .map((one) => ({ one, at: random.uniform() }))
      .toSorted((a, b) => a.at - b.at)
      .map(({ one }) => one);
  const blocks = Math.ceil(tasters / ORDERS[kind].length);
  const sequence = Array.from({ length: blocks }, () => shuffled(ORDERS[kind])).flat();
  const codes = shuffled(Array.from({ length: 900 }, (_, i) => String(100 + i)));
  return sequence.slice(0, tasters).map((order) => ({
    taster: '',
    picked: null,
    cups: order.map((side) => ({ side, code: codes.pop()! })),
  }));
}
