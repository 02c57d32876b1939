import type { Drink } from './schema.ts';

/** One change that brings a drink that is out of reach to its target. */
export type Remedy =
  | { readonly remedy: 'less_ice'; readonly iceG: number }
  | { readonly remedy: 'larger_ice' }
  | { readonly remedy: 'freezer_ice'; readonly tempC: number }
  | { readonly remedy: 'coffee_ice'; readonly coffeeFrac: number }
  | { readonly remedy: 'water_ice' }
  | { readonly remedy: 'chill'; readonly tempC: number }
  | { readonly remedy: 'stronger_batch'; readonly strengthFrac: number }
  | { readonly remedy: 'less_added'; readonly keepFrac: number }
  | { readonly remedy: 'another_glass'; readonly cupMl: number };

/** Ice of a mass, as a drink of the menu and one that is solved have it. */
export type IceOfMass = Extract<NonNullable<Drink['ice']>, { massG: number }>;

/** What a remedy changes of a drink; what is left out stays. */
export interface RemedyChange {
  /** What is different of its ice; null for none. */
  readonly ice?: (Partial<Omit<IceOfMass, 'recipe'>> & { readonly recipe?: undefined }) | null;
  readonly chilledToC?: number;
  readonly cupMl?: number;
  /** The share of each addition that stays, 0–1. */
  readonly keepFrac?: number;
  /** Of another batch, 0–1: nothing of the drink itself. */
  readonly strengthFrac?: number;
}

/** @returns what a remedy changes, in a drink of the menu as in one that is solved */
export function changeOf(remedy: Remedy): RemedyChange {
  switch (remedy.remedy) {
    case 'less_ice':
      return { ice: remedy.iceG === 0 ? null : { massG: remedy.iceG } };
    case 'larger_ice':
      return { ice: { kind: 'large' } };
    case 'freezer_ice':
      return { ice: { tempC: remedy.tempC } };
    case 'coffee_ice':
      return { ice: { coffeeFrac: remedy.coffeeFrac } };
    case 'water_ice':
      return { ice: { coffeeFrac: 0, recipe: undefined } };
    case 'chill':
      return { chilledToC: remedy.tempC };
    case 'stronger_batch':
      return { strengthFrac: remedy.strengthFrac };
    case 'less_added':
      return { keepFrac: remedy.keepFrac };
    case 'another_glass':
      return { cupMl: remedy.cupMl };
  }
}
