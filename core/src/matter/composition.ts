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
export const mix = (parts: readonly Composition[]): Composition =>
  parts.reduce((sum, part) => plus(sum, 1, part), NOTHING);

/** @returns the composition times a factor, 0 or more */
export const scaled = (input: { composition: Composition; factor: number }): Composition =>
  plus(NOTHING, input.factor, input.composition);

/** @returns whole mass, g */
export const massG = (c: Composition): number =>
  // Written out: this and the next are inside every loop of the solver.
  c.waterG + c.coffeeG + c.sugarG + c.carbohydrateG + c.fatG + c.proteinG + c.ashG + c.ethanolG;

/** @returns one composition and so many times a second one, component by component */
export const plus = (a: Composition, times: number, b: Composition): Composition => ({
  waterG: a.waterG + times * b.waterG,
  coffeeG: a.coffeeG + times * b.coffeeG,
  sugarG: a.sugarG + times * b.sugarG,
  carbohydrateG: a.carbohydrateG + times * b.carbohydrateG,
  fatG: a.fatG + times * b.fatG,
  proteinG: a.proteinG + times * b.proteinG,
  ashG: a.ashG + times * b.ashG,
  ethanolG: a.ethanolG + times * b.ethanolG,
});

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
  // Written out: every melt makes one of its ice, and a spread takes longer than the rest.
  return {
    waterG: input.massG - coffeeG,
    coffeeG,
    sugarG: 0,
    carbohydrateG: 0,
    fatG: 0,
    proteinG: 0,
    ashG: 0,
    ethanolG: 0,
  };
}
