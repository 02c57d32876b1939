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
  /** Whether no tool of the bar comes near: what it gives is off by more than a quarter. */
  readonly noneNear: boolean;
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

/** @returns the tools that an ingredient can be measured with, the usual one first */
function toolsOf(ingredient: Ingredient | null, by: MeasuredBy): readonly BarTool[] {
  if (ingredient?.kind === 'syrup') return ['pump', 'spoon', by];
  if (ingredient?.looseGPerMl) return ['spoon', 'scale'];
  return [by];
}

/** This near its amount the usual tool is taken; it is only left where another one is nearer. */
const NEAR_FRAC = 0.15;
const FAR_FRAC = 0.25;
/** A spoon is halved by eye. */
const HALF = 2;

/**
 * A solved drink rounded to the bar's tools: syrups to pumps, powders to spoons, or to what is nearer;
 * the rest to the marks of a jigger or the step of a scale, ice to the scale.
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
    nearest(
      toolsOf(part.ingredient, by).map((tool) => rounded({ ...part, tool, tools })),
      part.volumeMl,
    );
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
    spoon: tools.spoonMl / HALF,
    scale: tools.scaleG / gPerMl,
  }[tool];
  const amount = stepped(volumeMl, stepMl);
  const steps = Math.round(amount / stepMl);
  return {
    tool,
    count: tool === 'spoon' ? steps / HALF : steps,
    volumeMl: amount,
    noneNear: offFracOf(amount, volumeMl) > FAR_FRAC,
  };
}

const offFracOf = (amount: number, wanted: number): number =>
  wanted <= 0 ? 0 : Math.abs(amount / wanted - 1);

/** The usual tool as long as it comes near; else the one that comes nearest. */
function nearest([usual, ...others]: readonly Measured[], wantedMl: number): Measured {
  const off = (one: Measured): number => offFracOf(one.volumeMl, wantedMl);
  if (off(usual!) <= NEAR_FRAC) return usual!;
  return others.reduce((best, one) => (off(one) < off(best) - 1e-9 ? one : best), usual!);
}

const stepped = (amount: number, step: number): number =>
  amount <= 0 ? 0 : Math.max(1, Math.round(amount / step)) * step;
