/**
 * What a liquid (or the ice in it) is made of, grams of each. Everything else about it is derived.
 */
export interface Composition {
  readonly waterG: number;
  readonly coffeeG: number;
  readonly sugarG: number;
  readonly carbohydrateG: number;
  readonly fatG: number;
  readonly proteinG: number;
  readonly ashG: number;
  readonly ethanolG: number;
}

/** The components, in the order in which tables list them. `carbohydrateG` is what is not sugar. */
export const COMPONENT_KEYS = [
  'waterG',
  'coffeeG',
  'sugarG',
  'carbohydrateG',
  'fatG',
  'proteinG',
  'ashG',
  'ethanolG',
] as const satisfies readonly (keyof Composition)[];

/** A composition of nothing. */
export const NOTHING: Composition = Object.freeze({
  waterG: 0,
  coffeeG: 0,
  sugarG: 0,
  carbohydrateG: 0,
  fatG: 0,
  proteinG: 0,
  ashG: 0,
  ethanolG: 0,
});

/** @returns the sum of compositions, component by component */
export function mix(parts: readonly Composition[]): Composition {
  const sum = { ...NOTHING };
  for (const part of parts) for (const key of COMPONENT_KEYS) sum[key] += part[key];
  return sum;
}

/** @returns the composition times a factor, 0 or more */
export function scaled(input: { composition: Composition; factor: number }): Composition {
  const { composition, factor } = input;
  const product = { ...NOTHING };
  for (const key of COMPONENT_KEYS) product[key] = composition[key] * factor;
  return product;
}

/** @returns whole mass, g */
export function massG(composition: Composition): number {
  let sum = 0;
  for (const key of COMPONENT_KEYS) sum += composition[key];
  return sum;
}

/**
 * Coffee strength: coffee solids over whole mass. Not what a refractometer shows in a drink with
 * milk or sugar, which counts those solids too.
 *
 * @returns fraction, 0–1; 0 for nothing
 */
export function coffeeStrengthFrac(composition: Composition): number {
  const whole = massG(composition);
  return whole === 0 ? 0 : composition.coffeeG / whole;
}

/**
 * Black coffee of a strength.
 *
 * @param input.massG whole mass, g, 0 or more
 * @param input.strengthFrac coffee solids over whole mass, 0–1
 */
export function coffeeOf(input: { massG: number; strengthFrac: number }): Composition {
  const coffeeG = input.massG * input.strengthFrac;
  return { ...NOTHING, coffeeG, waterG: input.massG - coffeeG };
}
