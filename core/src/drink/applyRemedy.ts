import { changeOf, type IceOfMass, type Remedy } from './remedy.ts';
import type { Drink } from './schema.ts';

/**
 * A remedy applied to a drink of the menu: what changes of it.
 *
 * @param input.iceG mass of its ice as it was solved, g: a glass filled with ice becomes so many grams
 * @returns the changed parts; null for another jug, which changes nothing of the drink
 */
export function applyRemedy(input: {
  drink: Drink;
  remedy: Remedy;
  iceG: number;
}): Partial<Drink> | null {
  const { drink, remedy, iceG } = input;
  const { ice, keepFrac, strengthFrac, ...vessel } = changeOf(remedy);
  if (strengthFrac !== undefined) return null;
  // In another glass a filled one keeps the ice that was solved.
  const part = vessel.cupMl === undefined ? ice : {};
  return {
    ...vessel,
    ...(part === null && { ice: null }),
    ...(part && drink.ice && { ice: { ...solvedIce(drink.ice, iceG), ...part } }),
    ...(keepFrac !== undefined && {
      additions: drink.additions
        .map((one) => ({ ...one, volumeMl: one.volumeMl * keepFrac }))
        .filter(({ volumeMl }) => volumeMl > 0),
    }),
  };
}

const solvedIce = (ice: NonNullable<Drink['ice']>, massG: number): IceOfMass => {
  const { tempC, coffeeFrac, kind, recipe } = ice;
  return { massG, tempC, coffeeFrac, kind, recipe };
};
