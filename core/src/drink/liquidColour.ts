import { massG, type Composition } from '../matter/composition.ts';

/** Red, green and blue, each 0–255. */
export type Rgb = readonly [number, number, number];

// Absorption by red, green and blue per mass fraction over the width of a glass, and scattering by
// fat and protein. Fitted by eye to daylight; they colour drawings and nothing else (ours).
const COFFEE_ABSORBS: Rgb = [68, 108, 150];
const SUGAR_ABSORBS: Rgb = [0.12, 0.35, 1.3];
const MILK_SCATTERS = 160;
const COFFEE_DEPTH_IN_MILK = 0.062;
const WATER: Rgb = [226, 236, 236];
const MILK: Rgb = [250, 244, 232];
const DARKEST: Rgb = [30, 17, 12];

/**
 * Colour of a liquid in daylight: absorption grows with coffee strength (Beer–Lambert), whiteness
 * with fat and protein (Kubelka–Munk).
 *
 * @returns sRGB, whole numbers; plain water where the composition is empty
 */
export function liquidColour(composition: Composition): Rgb {
  const whole = massG(composition) || 1;
  const coffee = composition.coffeeG / whole;
  const sugar = (composition.sugarG + composition.carbohydrateG) / whole;
  const scatter = (MILK_SCATTERS * (composition.fatG + composition.proteinG)) / whole;
  const cloudy = 1 - Math.exp(-scatter);
  const channel = (i: 0 | 1 | 2): number => {
    const absorbed = COFFEE_ABSORBS[i] * coffee;
    const clear = Math.exp(-absorbed - SUGAR_ABSORBS[i] * sugar);
    const through = DARKEST[i] + (WATER[i] - DARKEST[i]) * clear;
    // Reflectance of a deep layer, K absorbing against S scattering.
    const k = (absorbed * COFFEE_DEPTH_IN_MILK) / Math.max(scatter * 0.1, 1e-9);
    const deep = 1 + k - Math.sqrt(k * k + 2 * k);
    const back = DARKEST[i] + (MILK[i] - DARKEST[i]) * deep;
    return Math.round(through * (1 - cloudy) + back * cloudy);
  };
  return [channel(0), channel(1), channel(2)];
}
