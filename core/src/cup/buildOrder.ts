import type { Ingredient } from '../matter/ingredients.ts';
import type { Addition } from './drink.ts';

/** One step of building a drink. */
export type BuildStep =
  | {
      readonly part: 'addition' | 'fill';
      /** Its place among the additions or the fillers. */
      readonly index: number;
      readonly ingredient: Ingredient;
      readonly volumeMl: number;
    }
  | { readonly part: 'ice'; readonly massG: number }
  | { readonly part: 'concentrate'; readonly volumeMl: number };

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
 * other clear parts, white parts after them, foam on top.
 *
 * @returns steps in pouring order, without those of no amount
 * @see common practice
 */
export function buildOrder(input: {
  iceG: number;
  concentrateMl: number;
  fills: readonly { ingredient: Ingredient; volumeMl: number }[];
  additions: readonly Addition[];
}): BuildStep[] {
  const { iceG, concentrateMl, fills, additions } = input;
  const poured: Poured[] = [
    ...additions.map((one, index) => stepOf('addition', index, one)),
    ...fills.map((one, index) => stepOf('fill', index, one)),
  ];
  const at = (place: string) =>
    poured.filter(
      ({ ingredient }) => (isFoam(ingredient) ? 'top' : PLACE[ingredient.kind]) === place,
    );
  const steps: BuildStep[] = [
    ...at('first'),
    { part: 'ice', massG: iceG },
    ...at('under'),
    { part: 'concentrate', volumeMl: concentrateMl },
    ...at('over'),
    ...at('last'),
    ...at('top'),
  ];
  return steps.filter((step) => (step.part === 'ice' ? step.massG : step.volumeMl) > 0);
}

const stepOf = (
  part: Poured['part'],
  index: number,
  { ingredient, volumeMl }: { ingredient: Ingredient; volumeMl: number },
): Poured => ({ part, index, ingredient, volumeMl });

/** Whether an ingredient stands on top of a drink and does not mix with it. */
export const isFoam = ({ kind, overrunFrac }: Ingredient): boolean =>
  kind === 'foam' || overrunFrac > 0;
