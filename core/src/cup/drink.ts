import { ingredientOf, type IngredientId } from '../matter/ingredients.ts';
import { coffeeOf, massG, mix, NOTHING, scaled, type Composition } from '../matter/composition.ts';
import { densityGPerMl, energyKcal, heatCapacityJPerK, volumeMl } from '../matter/properties.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import type { Ice } from './ice.ts';
import { meltAt, type MeltPoint } from './melt.ts';

/** One liquid as it is poured. */
export interface Pour {
  readonly composition: Composition;
  readonly tempC: number;
}

/** A glass before anything that the solver decides is poured. */
export interface Glass {
  /** To the fill line, floating ice included, mL. */
  readonly cupMl: number;
  readonly ice: Ice | null;
  readonly roomC: number;
  readonly stirredDown: boolean;
}

/** A poured drink as it stands. */
export interface DrinkPoint {
  readonly minutes: number;
  /** Coffee solids over mass of the liquid; melt counts, ice that is left does not. */
  readonly strengthFrac: number;
  readonly meltedG: number;
  readonly tempC: number;
}

/**
 * The liquids of a drink, mixed at once, before they meet the ice.
 *
 * @returns their sum, and its temperature ΣmcT/Σmc in °C (0 for nothing)
 */
export function mixPours(pours: readonly Pour[]): Pour {
  let heat = 0;
  let capacity = 0;
  for (const pour of pours) {
    const c = heatCapacityJPerK(pour);
    heat += c * pour.tempC;
    capacity += c;
  }
  return {
    composition: mix(pours.map(({ composition }) => composition)),
    tempC: capacity === 0 ? 0 : heat / capacity,
  };
}

/**
 * How high a drink stands: its liquid, and the room that floating ice takes below the surface.
 * It stays put while water ice melts.
 *
 * @param input.iceG mass of the ice, g
 * @returns mL
 */
export function levelMl(input: { mixed: Pour; iceG: number }): number {
  const { mixed, iceG } = input;
  // Without a liquid to float in, the ice counts as the water that it would displace.
  if (massG(mixed.composition) === 0) return iceG / waterDensityGPerMl(0);
  return volumeMl(mixed) + iceG / densityGPerMl(mixed);
}

/**
 * Strength, melt and temperature of a drink while it stands.
 *
 * @param input.minutes moments after pouring, ascending
 * @returns one point per moment; none for a drink without liquid
 */
export function drinkTimeline(input: {
  glass: Glass;
  mixed: Pour;
  minutes: readonly number[];
}): DrinkPoint[] {
  const { glass, mixed, minutes } = input;
  if (massG(mixed.composition) === 0) return [];
  const points = meltAt({ ...glass, liquid: mixed.composition, tempC: mixed.tempC }, minutes);
  return points.map((point, i) => ({
    minutes: minutes[i]!,
    strengthFrac: strengthAfter({ liquid: mixed.composition, ice: glass.ice, point }),
    meltedG: point.meltedG,
    tempC: point.tempC,
  }));
}

function strengthAfter(input: { liquid: Composition; ice: Ice | null; point: MeltPoint }): number {
  const { liquid, ice, point } = input;
  const solidsG = liquid.coffeeG + point.meltedG * (ice?.coffeeFrac ?? 0);
  return solidsG / (massG(liquid) + point.meltedG);
}

/** @returns what the ice is made of */
export const iceComposition = (ice: Ice | null): Composition =>
  ice ? coffeeOf({ massG: ice.massG, strengthFrac: ice.coffeeFrac }) : NOTHING;

/** An ingredient poured by volume at its own temperature. */
export interface Addition {
  readonly ingredient: IngredientId;
  readonly volumeMl: number;
  readonly tempC: number;
}

/** @returns the pour of an ingredient measured by volume at its temperature */
export function pourOf(addition: Addition): Pour {
  const { ingredient, tempC } = addition;
  const per100 = ingredientOf({ ingredient, massG: 100 });
  return {
    composition: scaled({
      composition: per100,
      factor: (addition.volumeMl * densityGPerMl({ composition: per100, tempC })) / 100,
    }),
    tempC,
  };
}

/** @returns energy in kcal and sugar in g of everything in the glass, ice included */
export function nutrition(input: { mixed: Pour; ice: Ice | null }): {
  energyKcal: number;
  sugarG: number;
} {
  const whole = mix([input.mixed.composition, iceComposition(input.ice)]);
  return { energyKcal: energyKcal(whole), sugarG: whole.sugarG };
}
