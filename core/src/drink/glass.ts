import { measuredGPerMl, type Ingredient } from '../pantry/ingredients.ts';
import {
  coffeeStrengthFrac,
  massG,
  mix,
  NOTHING,
  plus,
  type Composition,
} from '../matter/composition.ts';
import { heatCapacityJPerK, volumeMl } from '../matter/properties.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import { icePerG, type Ice } from './ice.ts';
import { meltAt, type MeltInput } from './melt.ts';

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
  /** Temperature to which the liquid is chilled before it meets the ice, °C; null as it is mixed. */
  readonly chilledToC: number | null;
}

/** A poured drink as it stands. */
export interface DrinkPoint {
  readonly minutes: number;
  /** Coffee solids over mass of the liquid; melt counts, ice that is left does not. */
  readonly strengthFrac: number;
  readonly meltedG: number;
  readonly tempC: number;
  /** How high it stands, ice included, mL. */
  readonly levelMl: number;
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
  const liquidG = massG(mixed.composition);
  // Without a liquid to float in, the ice counts as the water that it would displace.
  if (liquidG === 0) return iceG / waterDensityGPerMl(0);
  const liquidMl = volumeMl(mixed);
  return liquidMl + iceG * (liquidMl / liquidG);
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
  const points = meltAt(meltOf(glass, mixed), minutes);
  return points.map((point, i) => {
    const liquid = withMelt(glass, mixed, point.meltedG);
    return {
      minutes: minutes[i]!,
      strengthFrac: coffeeStrengthFrac(liquid),
      meltedG: point.meltedG,
      tempC: point.tempC,
      levelMl: levelMl({
        mixed: { composition: liquid, tempC: point.tempC },
        iceG: (glass.ice?.massG ?? 0) - point.meltedG,
      }),
    };
  });
}

/**
 * Coffee strength of a drink at one moment.
 *
 * @param input.minutes after pouring, 0 or more
 * @returns fraction, 0–1; 0 for a glass without liquid
 */
export function strengthAt(moment: { glass: Glass; mixed: Pour; minutes: number }): number {
  const { glass, mixed } = moment;
  const liquid = mixed.composition;
  const liquidG = massG(liquid);
  const iceFrac = glass.ice?.coffeeFrac ?? 0;
  // Without coffee anywhere there is nothing to work out.
  if (liquidG === 0 || (liquid.coffeeG === 0 && iceFrac === 0)) return 0;
  const meltedG = meltedAtG(moment);
  return (liquid.coffeeG + meltedG * iceFrac) / (liquidG + meltedG);
}

/** @returns how much of its ice has melted into a drink by a moment, g; it must not be empty */
export function meltedAtG(moment: {
  glass: Glass;
  mixed: Pour;
  minutes: number;
  tolerance?: number | undefined;
}): number {
  const { glass, mixed, minutes, tolerance } = moment;
  const [point] = meltAt(meltOf(glass, mixed), [minutes], tolerance);
  return point!.meltedG;
}

/** @returns the liquid of a drink at one moment, with what has melted into it by then */
export function liquidAt(moment: { glass: Glass; mixed: Pour; minutes: number }): Composition {
  const { glass, mixed } = moment;
  if (massG(mixed.composition) === 0) return NOTHING;
  return withMelt(glass, mixed, meltedAtG(moment));
}

// Written out: a spread costs more than a step of the integration, and the solver asks all the time.
const meltOf = (glass: Glass, mixed: Pour): MeltInput => ({
  liquid: mixed.composition,
  tempC: mixed.tempC,
  ice: glass.ice,
  cupMl: glass.cupMl,
  roomC: glass.roomC,
  stirredDown: glass.stirredDown,
});

const withMelt = ({ ice }: Glass, { composition }: Pour, meltedG: number): Composition =>
  ice === null ? composition : plus(composition, meltedG, icePerG(ice));

/** An ingredient measured by volume at its own temperature. */
export interface Addition {
  readonly ingredient: Ingredient;
  readonly volumeMl: number;
  readonly tempC: number;
}

/** @returns mass of an ingredient measured by volume, as it is measured: loose or with its air, g */
export const massOfAdditionG = (addition: Addition): number =>
  addition.volumeMl * measuredGPerMl(addition);
