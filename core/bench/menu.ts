import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { drinkSetting, levelOf, strengthOf } from '../src/drink/setting.ts';
import { solveDrink } from '../src/drink/solve.ts';
import { resolvePantry } from '../src/pantry/resolvePantry.ts';
import { createMenuSolver } from '../src/drink/menuSolver.ts';
import { drinkInput, solveRequest } from '../src/drink/predict.ts';
import { predictDrinkRequest } from '../src/drink/predictSchema.ts';
import { lidoDrinks, lidoPantry, lidoHouseRecipes } from '../../demo/lido.ts';
import { medianMs, type BenchRow } from './timed.ts';

const JUG = { strengthFrac: 0.036, tempC: 4, caffeineMgPerG: 2.1 };
const MENU = 40;

const { pantry } = resolvePantry({
  own: lidoPantry,
  houseRecipes: lidoHouseRecipes.map((recipe) => ({ ...recipe, version: 1 })),
});

/** The lido's drinks with a strength to reach, in as many sizes as make forty. */
const requests = Array.from({ length: MENU }, (_, i) => {
  const drinks = lidoDrinks.filter(({ target }) => 'strengthFrac' in target);
  const { cupMl, ice, additions, diluents, target, stirredDown, chilledToC } =
    drinks[i % drinks.length]!;
  const size = 0.85 + 0.1 * Math.floor(i / drinks.length);
  return predictDrinkRequest.parse({
    cupMl: cupMl * size,
    concentrate: JUG,
    ice: ice && 'massG' in ice ? { ...ice, massG: ice.massG * size } : ice,
    additions: additions.map((one) => ({ ...one, volumeMl: one.volumeMl * size })),
    diluents,
    target,
    roomC: 24,
    stirredDown,
    chilledToC,
  });
});

/** The whole menu as the page solves it: forty drinks; the half hour is drawn for the one in hand. */
export const solveMenu = () => requests.map((request) => solveRequest(request, pantry));

/** The menu after a pour, which changes what is left and no drink, from the last answers; ms. */
export function menuAgainMs(): number {
  const solve = createMenuSolver(pantry);
  return medianMs({ run: () => requests.map(solve), forMs: 1000 });
}

/** The same two equations given to a general least-squares solver. */
function generalDrink(input: ReturnType<typeof drinkInput>): { residual: number } {
  const { target, glass } = input;
  const wanted = 'strengthFrac' in target ? target.strengthFrac : 1;
  const setting = drinkSetting(input);
  const at = ([concentrateG = 0, fillG = 0]: number[]) => {
    const amounts = { concentrateG, fillG };
    return [levelOf(setting, amounts) / glass.cupMl, strengthOf(setting, amounts) / wanted];
  };
  const { parameterValues } = levenbergMarquardt(
    { x: [0, 1], y: [1, 1] },
    (parameters: number[]) => {
      const both = at(parameters);
      return (x: number) => both[x]!;
    },
    {
      initialValues: [glass.cupMl / 4, glass.cupMl / 4],
      damping: 1e-6,
      gradientDifference: 1e-4,
      centralDifference: true,
      maxIterations: 40,
      errorTolerance: 1e-19,
    },
  );
  return { residual: Math.max(...at(parameterValues).map((side) => Math.abs(side - 1))) };
}

/** @returns the row of the menu; drinks out of reach are left to neither side */
export function benchMenu(): BenchRow & { readonly residuals: string } {
  const inputs = requests
    .map((request) => drinkInput(request, pantry))
    .filter((input) => solveDrink(input).status === 'met');
  const ours = inputs.map((input) => {
    const { concentrateG, fillG, levelMl } = solveDrink(input);
    const wanted = 'strengthFrac' in input.target ? input.target.strengthFrac : 1;
    // Melted once more: the solver says the strength that it was asked for.
    const strengthFrac = strengthOf(drinkSetting(input), { concentrateG, fillG });
    return Math.max(Math.abs(strengthFrac / wanted - 1), Math.abs(levelMl / input.glass.cupMl - 1));
  });
  const general = inputs.map((input) => generalDrink(input).residual);
  const oursMs = medianMs({ run: () => inputs.map(solveDrink), forMs: 2000 });
  const baselineMs = medianMs({ run: () => inputs.map(generalDrink), forMs: 3000 });
  return {
    name: `menu: ${inputs.length} of ${MENU} drinks in reach, to the target's minute`,
    baseline: 'ml-levenberg-marquardt, same equations',
    oursMs,
    baselineMs,
    difference: Math.max(...ours.map((residual, i) => Math.abs(residual - general[i]!))),
    residuals: `Largest residual: ours ${Math.max(...ours).toExponential(1)}, the general solver's ${Math.max(...general).toExponential(1)}.`,
  };
}
