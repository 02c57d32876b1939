/**
 * What the coffee in a kilogram of brew cost.
 *
 * @param input.pricePerKg of the coffee, in the shop's money; null or undefined where nobody said
 * @param input.doseG coffee that went in, g
 * @param input.brewG brew that came out, g
 * @returns in the shop's money; null where the price is unknown or nothing came out
 */
export const pricePerKgOfBrew = (input: {
  pricePerKg: number | null | undefined;
  doseG: number;
  brewG: number;
}): number | null =>
  input.pricePerKg == null || input.brewG <= 0
    ? null
    : (input.pricePerKg * input.doseG) / input.brewG;
