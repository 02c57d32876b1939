import { CONSTANTS } from '../constants.ts';
import { coffeeOf, NOTHING, scaled, type Composition } from '../matter/composition.ts';
import { ofMass, type Ingredient } from '../pantry/ingredients.ts';

/** Shapes of ice at the bar. */
export const ICE_KINDS = ['cubes', 'crushed', 'large'] as const;
export type IceKind = (typeof ICE_KINDS)[number];

/** Each kind's share of the cup that it fills (practice), and the edge of a piece. */
export const ICE_SHAPES = {
  cubes: { fillFrac: 0.55, edgeM: 0.025, mark: 'practice' },
  crushed: { fillFrac: 0.62, edgeM: 0.008, mark: 'practice' },
  large: { fillFrac: 0.45, edgeM: 0.05, mark: 'practice' },
} as const satisfies Record<IceKind, { fillFrac: number; edgeM: number; mark: string }>;

/** Ice in a drink. */
export interface Ice {
  readonly massG: number;
  /** °C, at most 0. */
  readonly tempC: number;
  /** Coffee solids over mass of the ice, 0–1; 0 for water ice. */
  readonly coffeeFrac: number;
  readonly kind: IceKind;
  /** The house recipe that it is frozen from, where it is one. */
  readonly recipe?: Ingredient | undefined;
}

/** @returns what a gram of the ice is made of: frozen black coffee, or its house recipe */
export const icePerG = ({ recipe, coffeeFrac }: Ice): Composition =>
  recipe
    ? ofMass({ ingredient: recipe, massG: 1 })
    : coffeeOf({ massG: 1, strengthFrac: coffeeFrac });

/** @returns what all of the ice is made of */
export const iceComposition = (ice: Ice | null): Composition =>
  ice ? scaled({ composition: icePerG(ice), factor: ice.massG }) : NOTHING;

/**
 * Ice that fills a cup to its line.
 *
 * @param input.cupMl to the fill line, mL
 * @returns mass of the ice, g
 */
export const fullIceG = (input: { cupMl: number; kind: IceKind }): number =>
  input.cupMl * ICE_SHAPES[input.kind].fillFrac * CONSTANTS.iceDensityGPerMl.value;

/** @returns mass of one piece of a kind, taken as a cube, g */
export const icePieceG = (kind: IceKind): number =>
  CONSTANTS.iceDensityGPerMl.value * (100 * ICE_SHAPES[kind].edgeM) ** 3;

/**
 * Surface of fresh ice, as cubes of the kind's edge.
 *
 * @returns m²; it shrinks with the two-thirds power of the mass
 */
export const iceAreaM2 = (input: { massG: number; kind: IceKind }): number =>
  (6 * input.massG) /
  1000 /
  (1000 * CONSTANTS.iceDensityGPerMl.value * ICE_SHAPES[input.kind].edgeM);

/**
 * Heat that ice takes before it begins to melt.
 *
 * @returns J, 0 or more
 */
export const coldDebtJ = (input: { massG: number; tempC: number }): number =>
  input.massG * CONSTANTS.iceHeatJPerGK.value * (0 - input.tempC);
