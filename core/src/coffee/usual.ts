import { CONSTANTS } from '../constants.ts';
import { ROASTS } from './roasts.ts';
import type { Coffee } from './schema.ts';

const USUAL = 'usual-';

/** Darker beans are more porous, and give a little more (memory; the middle is the model's own). */
const GIVES_FRAC = { light: -0.01, medium: 0, dark: 0.01 } as const;

/**
 * Coffees to begin with where a shop has none on its shelf, one for each roast: an arabica of which
 * nothing but the roast is known.
 */
export const USUAL_COFFEES: readonly Coffee[] = ROASTS.map((roast) => ({
  id: `${USUAL}${roast}`,
  version: 1,
  name: `A usual ${roast} roast`,
  roast,
  solubleFrac: CONSTANTS.solubleFrac.value + GIVES_FRAC[roast],
  robustaFrac: 0,
  decafFrac: 0,
  roastedOn: null,
  pricePerKg: null,
  looseDensityGPerMl: null,
}));

/** @returns the usual coffee of an identity; undefined for a coffee of the shelf */
export const usualCoffee = (id: string): Coffee | undefined =>
  USUAL_COFFEES.find((coffee) => coffee.id === id);
