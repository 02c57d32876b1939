import type { Ingredient } from '../pantry/ingredients.ts';
import type { BarTools } from '../shop/tools.ts';
import type { DrinkInput } from './setting.ts';
import { standDrink, type DrinkSolution } from './solve.ts';

type BarTool = 'jigger' | 'pump' | 'spoon' | 'scale';

/** How the bar measures this time: by its jiggers, or everything on the scale. */
export type MeasuredBy = 'jigger' | 'scale';

/** One amount as the tool gives it. */
export interface Measured {
  readonly tool: BarTool;
  /** Steps of the tool: pumps, spoons, jigger marks, grams. */
  readonly count: number;
  readonly volumeMl: number;
}

/** A drink measured with the bar's tools, and what that does to it. */
export interface MeasuredDrink {
  readonly solution: DrinkSolution;
  readonly concentrate: Measured;
  readonly diluents: readonly Measured[];
  readonly additions: readonly Measured[];
  readonly iceG: number;
  /** How far the strength is off by the rounding, as a fraction of mass. */
  readonly offFrac: number;
  /** How far it stands above the fill line, mL; negative below. */
  readonly overLineMl: number;
}

/** @returns the tool that an ingredient is measured with */
function toolOf(ingredient: Ingredient | null, by: MeasuredBy): BarTool {
  if (ingredient?.kind === 'syrup') return 'pump';
  if (ingredient?.looseGPerMl) return 'spoon';
  return by;
}

/**
 * A solved drink rounded to the bar's tools: syrups to pumps, powders to spoons, the rest to the
 * marks of a jigger or the step of a scale, ice to the scale.
 *
 * @returns the rounded amounts and the drink that they give; nothing that was above 0 becomes 0
 */
export function measuredDrink(input: {
  drink: DrinkInput;
  solution: DrinkSolution;
  tools: BarTools;
  by: MeasuredBy;
}): MeasuredDrink {
  const { drink, solution, tools, by } = input;
  const round = (part: { volumeMl: number; gPerMl: number; ingredient: Ingredient | null }) =>
    rounded({ ...part, tool: toolOf(part.ingredient, by), tools });
  const concentrateGPerMl =
    solution.concentrateMl > 0 ? solution.concentrateG / solution.concentrateMl : 1;
  const concentrate = round({
    volumeMl: solution.concentrateMl,
    gPerMl: concentrateGPerMl,
    ingredient: null,
  });
  const diluents = solution.diluents.map(({ ingredient, volumeMl, massG }) =>
    round({ ingredient, volumeMl, gPerMl: volumeMl > 0 ? massG / volumeMl : 1 }),
  );
  const additions = drink.additions.map(({ ingredient, volumeMl }) =>
    round({ ingredient, volumeMl, gPerMl: 1 }),
  );
  const iceG = stepped(solution.iceG, tools.scaleG);
  const fillG = diluents.reduce((sum, { volumeMl }, i) => {
    const { massG, volumeMl: exactMl } = solution.diluents[i]!;
    return sum + (exactMl > 0 ? (volumeMl * massG) / exactMl : 0);
  }, 0);
  const { glass } = drink;
  const poured = standDrink(
    {
      ...drink,
      glass: { ...glass, ice: glass.ice ? { ...glass.ice, massG: iceG } : null },
      additions: drink.additions.map((one, i) => ({ ...one, volumeMl: additions[i]!.volumeMl })),
      diluents: drink.diluents.map((one, i) => ({
        ...one,
        proportion: diluents[i]!.volumeMl || one.proportion * 1e-9,
      })),
    },
    { concentrateG: concentrate.volumeMl * concentrateGPerMl, fillG },
  );
  return {
    solution: poured,
    concentrate,
    diluents,
    additions,
    iceG,
    offFrac: poured.strengthFrac - solution.strengthFrac,
    overLineMl: poured.levelMl - glass.cupMl,
  };
}

function rounded(input: {
  volumeMl: number;
  gPerMl: number;
  tool: BarTool;
  tools: BarTools;
}): Measured {
  const { volumeMl, gPerMl, tool, tools } = input;
  const stepMl = {
    jigger: tools.jiggerMl,
    pump: tools.pumpMl,
    spoon: tools.spoonMl,
    scale: tools.scaleG / gPerMl,
  }[tool];
  const amount = stepped(volumeMl, stepMl);
  return { tool, count: Math.round(amount / stepMl), volumeMl: amount };
}

const stepped = (amount: number, step: number): number =>
  amount <= 0 ? 0 : Math.max(1, Math.round(amount / step)) * step;
