import { CONSTANTS } from '../src/constants.ts';
import { coldDebtJ, iceAreaM2 } from '../src/cup/ice.ts';
import { mixPours, pourOf, levelMl } from '../src/cup/drink.ts';
import type { DrinkInput } from '../src/cup/solveDrink.ts';
import { coffeeOf, massG, type Composition } from '../src/matter/composition.ts';
import { ingredientOf } from '../src/matter/ingredients.ts';
import { heatCapacityJPerK } from '../src/matter/properties.ts';
import { findRoot } from '../src/numeric/findRoot.ts';
import { drinkInput, reckonDrink } from '../src/reckon/reckonDrink.ts';
import { reckonDrinkRequest } from '../src/schemas/reckonDrink.ts';
import { integrateReference } from '../test/odeReference.ts';
import { lidoDrinks } from '../../demo/lido.ts';
import { COARSE, FINE, medianMs, type BenchRow } from './timed.ts';

const JUG = { strengthFrac: 0.036, tempC: 4, caffeineMgPerG: 2.1 };

const requests = lidoDrinks.map(({ cupMl, ice, additions, fillWith, target, stirredDown }) =>
  reckonDrinkRequest.parse({
    cupMl,
    concentrate: JUG,
    ice,
    additions,
    fillWith,
    target,
    roomC: 24,
    stirredDown,
  }),
);

/** The whole menu as the page solves it: eight drinks with their half hours. */
export const solveMenu = () => requests.map(reckonDrink);

/** Strength each minute, the plain equations given to an ODE library minute by minute. */
function referenceStrengths(
  tolerance: number,
  drink: DrinkInput,
  liquid: Composition,
  tempC: number,
  minutes: number,
): number[] {
  const { ice, cupMl, roomC } = drink.glass;
  const base = heatCapacityJPerK({ composition: liquid, tempC });
  const iceG = ice?.massG ?? 0;
  const melt = heatCapacityJPerK({
    composition: coffeeOf({ massG: 1, strengthFrac: ice?.coffeeFrac ?? 0 }),
    tempC,
  });
  const iceW = ice ? CONSTANTS.iceTransferWPerM2K.value * iceAreaM2(ice) : 0;
  const roomW =
    CONSTANTS.roomTransferWPerM2K.value * CONSTANTS.cupAreaFactor.value * (cupMl / 1e6) ** (2 / 3);
  const temp = (heatJ: number, left: number) => heatJ / (base + melt * (iceG - left));
  // A library's steps must not cross a corner: the cold debt is paid with the debt itself as the
  // independent variable, [heat, time]; then [heat, ice left] goes on by the minute.
  const debtJ = ice ? coldDebtJ(ice) : 0;
  const paying = (_: number, [heatJ]: number[]): number[] => {
    const toIceW = iceW * temp(heatJ!, iceG);
    return [(roomW * (roomC - temp(heatJ!, iceG)) - toIceW) / toIceW, 1 / toIceW];
  };
  const [paidJ, paidS] =
    debtJ > 0
      ? (integrateReference({
          slope: paying,
          state: [base * tempC, 0],
          from: 0,
          to: debtJ,
          tolerance,
        }) as [number, number])
      : [base * tempC, 0];
  const melting = (_: number, [heatJ, left]: number[]): number[] => {
    const t = temp(heatJ!, left!);
    const toIceW = iceG > 0 ? iceW * (left! / iceG) ** (2 / 3) * t : 0;
    return [roomW * (roomC - t) - toIceW, -toIceW / CONSTANTS.fusionJPerG.value];
  };
  let state = [paidJ, iceG];
  let time = paidS;
  const strengths: number[] = [];
  for (let minute = 0; minute <= minutes; minute++) {
    if (minute * 60 > time) {
      const span = minute * 60 - time;
      state = integrateReference({
        slope: melting,
        state,
        from: 0,
        to: span,
        tolerance,
      });
      time = minute * 60;
    }
    const melted = iceG - state[1]!;
    strengths.push((liquid.coffeeG + melted * (ice?.coffeeFrac ?? 0)) / (massG(liquid) + melted));
  }
  return strengths;
}

/** One drink brought to its strength with the library in the loop, then its half hour. */
function referenceDrink(drink: DrinkInput, tolerance: number): number {
  const { concentrate, fillWith, glass, target } = drink;
  const fixed = drink.additions.map(pourOf);
  const mixed = (concentrateG: number, fillG: number) =>
    mixPours([
      ...fixed,
      {
        composition: coffeeOf({ massG: concentrateG, strengthFrac: concentrate.strengthFrac }),
        tempC: concentrate.tempC,
      },
      {
        composition: ingredientOf({ ingredient: fillWith.ingredient, massG: fillG }),
        tempC: fillWith.tempC,
      },
    ]);
  const iceG = glass.ice?.massG ?? 0;
  const over = (concentrateG: number, fillG: number) =>
    levelMl({ mixed: mixed(concentrateG, fillG), iceG }) - glass.cupMl;
  const most = findRoot({ f: (g) => over(g, 0), low: 0, high: 2 * glass.cupMl });
  const filled = (concentrateG: number) => {
    const fillG =
      over(concentrateG, 0) >= 0
        ? 0
        : findRoot({ f: (g) => over(concentrateG, g), low: 0, high: 2 * glass.cupMl });
    return mixed(concentrateG, fillG);
  };
  const atMinutes = 'parts' in target ? CONSTANTS.targetMinutes.value : target.atMinutes;
  const strengthAt = (concentrateG: number, minutes: number) => {
    const { composition, tempC } = filled(concentrateG);
    return referenceStrengths(tolerance, drink, composition, tempC, minutes).at(-1)!;
  };
  if ('parts' in target) {
    strengthAt(most / 2, 30);
    return Number.NaN;
  }
  const miss = (g: number) => strengthAt(g, atMinutes) - target.strengthFrac;
  const concentrateG = miss(most) < 0 ? most : findRoot({ f: miss, low: 0, high: most });
  strengthAt(concentrateG, 30);
  return concentrateG;
}

/** @returns the row of the menu */
export function benchMenu(): BenchRow {
  const inputs = requests.map(drinkInput);
  const referenceMenu = (tolerance: number) =>
    inputs.map((drink) => referenceDrink(drink, tolerance));
  const ours = solveMenu();
  const differences = referenceMenu(FINE).flatMap((concentrateG, i) =>
    Number.isNaN(concentrateG) ? [] : [Math.abs(ours[i]!.concentrateG / concentrateG - 1)],
  );
  return {
    name: 'menu: 8 drinks with 31-point half hours',
    baseline: 'odex at 1e-6',
    oursMs: medianMs({ run: solveMenu, forMs: 1500 }),
    baselineMs: medianMs({ run: () => referenceMenu(COARSE), forMs: 3000 }),
    difference: Math.max(...differences),
  };
}
