import type { HousePart, PartAmount } from '../schemas/housePart.ts';

/**
 * A recipe times a factor: to what the week needs, or to what is left of one input.
 *
 * @param input.factor above 0
 * @returns the same part with every amount scaled; shares, ratios and overrun stay
 */
export function scalePart(input: { part: HousePart; factor: number }): HousePart {
  const { part, factor } = input;
  const { process } = part;
  const amount = (one: PartAmount): PartAmount =>
    'massG' in one ? { massG: one.massG * factor } : { volumeMl: one.volumeMl * factor };
  return {
    ...part,
    inputs: part.inputs.map((one) => ({ ...one, amount: amount(one.amount) })),
    process:
      process.method === 'infuse'
        ? { ...process, leftG: process.leftG === null ? null : process.leftG * factor }
        : process.method === 'freeze'
          ? { ...process, leftoverG: process.leftoverG * factor }
          : process,
  };
}
