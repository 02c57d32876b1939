import { isFoam, type Ingredient } from '../pantry/ingredients.ts';
import type { Addition } from './glass.ts';

/** One step of building a drink. */
export type BuildStep =
  | {
      readonly kind: 'addition' | 'diluent';
      /** Its place among the additions or the diluents. */
      readonly index: number;
      readonly ingredient: Ingredient;
      readonly volumeMl: number;
    }
  | { readonly kind: 'ice'; readonly massG: number }
  | { readonly kind: 'concentrate'; readonly volumeMl: number };

type Poured = Extract<BuildStep, { ingredient: Ingredient }>;

/** Where each kind comes in: before the ice, under the coffee, over it, or on top of all. */
const PLACE = {
  syrup: 'first',
  powder: 'first',
  paste: 'first',
  tonic: 'under',
  water: 'over',
  juice: 'over',
  spirit: 'over',
  coffee: 'over',
  dairy: 'last',
  plant: 'last',
  foam: 'top',
} as const satisfies Record<Ingredient['kind'], string>;

/**
 * The order in which a drink is built: what must dissolve first, where the coffee stirs it up; ice;
 * tonic, which would foam over if it were poured on the coffee; the concentrate; then water and
 * other clear liquids, white ones after them, foam on top.
 *
 * @returns steps in pouring order, without those of no amount
 * @see common practice
 */
export function buildOrder(input: {
  iceG: number;
  concentrateMl: number;
  diluents: readonly { ingredient: Ingredient; volumeMl: number }[];
  additions: readonly Addition[];
}): BuildStep[] {
  const { iceG, concentrateMl, diluents, additions } = input;
  const poured: Poured[] = [
    ...additions.map((one, index) => stepOf('addition', index, one)),
    ...diluents.map((one, index) => stepOf('diluent', index, one)),
  ];
  const at = (place: string) =>
    poured.filter(
      ({ ingredient }) => (isFoam(ingredient) ? 'top' : PLACE[ingredient.kind]) === place,
    );
  const steps: BuildStep[] = [
    ...at('first'),
    { kind: 'ice', massG: iceG },
    ...at('under'),
    { kind: 'concentrate', volumeMl: concentrateMl },
    ...at('over'),
    ...at('last'),
    ...at('top'),
  ];
  return steps.filter((step) => (step.kind === 'ice' ? step.massG : step.volumeMl) > 0);
}

const stepOf = (
  kind: Poured['kind'],
  index: number,
  { ingredient, volumeMl }: { ingredient: Ingredient; volumeMl: number },
): Poured => ({ kind, index, ingredient, volumeMl });

/** The liquid that lies on top of a drink that is served in layers. */
export interface TopLayer {
  readonly name: string;
  /** Coffee solids over its mass, 0–1. */
  readonly strengthFrac: number;
}

/**
 * Where the first sips of a layered drink come from: the last liquid that is poured, foam apart.
 *
 * @param input.steps in pouring order
 * @param input.concentrateFrac strength of the concentrate, 0–1
 * @returns null for a glass without liquid
 */
export function topLayer(input: {
  steps: readonly BuildStep[];
  concentrateFrac: number;
}): TopLayer | null {
  const { steps, concentrateFrac } = input;
  const top = steps.findLast(
    (step) => step.kind === 'concentrate' || ('ingredient' in step && !isFoam(step.ingredient)),
  );
  if (!top || top.kind === 'ice') return null;
  if (top.kind === 'concentrate') return { name: 'concentrate', strengthFrac: concentrateFrac };
  const { name, per100G } = top.ingredient;
  return { name: name.toLowerCase(), strengthFrac: per100G.coffeeG / 100 };
}
