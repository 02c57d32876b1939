import type { Remedy } from './remedies.ts';
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
  const iced = (change: object): Partial<Drink> => {
    if (!drink.ice) return {};
    const { tempC, coffeeFrac, kind, recipe } = drink.ice;
    return { ice: { massG: iceG, tempC, coffeeFrac, kind, recipe, ...change } };
  };
  switch (remedy.remedy) {
    case 'less_ice':
      return remedy.iceG === 0 ? { ice: null } : iced({ massG: remedy.iceG });
    case 'larger_ice':
      return iced({ kind: 'large' });
    case 'freezer_ice':
      return iced({ tempC: remedy.tempC });
    case 'coffee_ice':
      return iced({ coffeeFrac: remedy.coffeeFrac });
    case 'water_ice':
      return iced({ coffeeFrac: 0, recipe: undefined });
    case 'chill':
      return { chilledToC: remedy.tempC };
    case 'less_added':
      return {
        additions: drink.additions
          .map((one) => ({ ...one, volumeMl: one.volumeMl * remedy.keepFrac }))
          .filter(({ volumeMl }) => volumeMl > 0),
      };
    case 'another_glass':
      return { cupMl: remedy.cupMl, ...(drink.ice ? iced({}) : {}) };
    case 'stronger_batch':
      return null;
  }
}
