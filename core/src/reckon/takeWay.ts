import type { Way } from '../cup/waysToReach.ts';
import type { Drink } from '../schemas/shelf.ts';

/**
 * A way to reach a target, taken: what changes of the drink.
 *
 * @param input.iceG mass of its ice as it was solved, g: a glass filled with ice becomes so many grams
 * @returns the changed parts; null for another jug, which changes nothing of the drink
 */
export function takeWay(input: { drink: Drink; way: Way; iceG: number }): Partial<Drink> | null {
  const { drink, way, iceG } = input;
  const iced = (part: object): Partial<Drink> => {
    if (!drink.ice) return {};
    const { tempC, coffeeFrac, kind, part: frozenFrom } = drink.ice;
    return { ice: { massG: iceG, tempC, coffeeFrac, kind, part: frozenFrom, ...part } };
  };
  switch (way.way) {
    case 'less_ice':
      return way.iceG === 0 ? { ice: null } : iced({ massG: way.iceG });
    case 'larger_ice':
      return iced({ kind: 'large' });
    case 'freezer_ice':
      return iced({ tempC: way.tempC });
    case 'coffee_ice':
      return iced({ coffeeFrac: way.coffeeFrac });
    case 'water_ice':
      return iced({ coffeeFrac: 0, part: undefined });
    case 'chill':
      return { chilledToC: way.tempC };
    case 'less_added':
      return {
        additions: drink.additions
          .map((one) => ({ ...one, volumeMl: one.volumeMl * way.keepFrac }))
          .filter(({ volumeMl }) => volumeMl > 0),
      };
    case 'another_glass':
      return { cupMl: way.cupMl, ...(drink.ice ? iced({}) : {}) };
    case 'stronger_batch':
      return null;
  }
}
