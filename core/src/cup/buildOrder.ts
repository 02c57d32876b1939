import { INGREDIENTS, type IngredientId } from '../matter/ingredients.ts';
import type { Addition } from './drink.ts';

/** One step of building a drink. */
export type BuildStep =
  | {
      readonly part: 'addition' | 'fill';
      readonly ingredient: IngredientId;
      readonly volumeMl: number;
    }
  | { readonly part: 'ice'; readonly massG: number }
  | { readonly part: 'concentrate'; readonly volumeMl: number };

/**
 * The order in which a drink is built: syrups first, where the coffee stirs them up; ice; the
 * concentrate; then what is poured over it, water before anything white.
 *
 * @returns steps in pouring order, without those of no amount
 * @see common practice
 */
export function buildOrder(input: {
  iceG: number;
  concentrateMl: number;
  fill: { ingredient: IngredientId; volumeMl: number };
  additions: readonly Addition[];
}): BuildStep[] {
  const { iceG, concentrateMl, fill, additions } = input;
  const poured: (BuildStep & { ingredient: IngredientId })[] = [
    ...additions.map(({ ingredient, volumeMl }) => ({
      part: 'addition' as const,
      ingredient,
      volumeMl,
    })),
    { part: 'fill', ...fill },
  ];
  const isSyrup = (step: { ingredient: IngredientId }) =>
    INGREDIENTS[step.ingredient].kind === 'syrup';
  const isClear = (step: { ingredient: IngredientId }) =>
    ['water', 'tonic'].includes(INGREDIENTS[step.ingredient].kind);
  const over = poured.filter((step) => !isSyrup(step));
  const steps: BuildStep[] = [
    ...poured.filter(isSyrup),
    { part: 'ice', massG: iceG },
    { part: 'concentrate', volumeMl: concentrateMl },
    ...over.filter(isClear),
    ...over.filter((step) => !isClear(step)),
  ];
  return steps.filter((step) => (step.part === 'ice' ? step.massG : step.volumeMl) > 0);
}
