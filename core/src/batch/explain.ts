import { CONSTANTS } from '../constants.ts';
import { FILTRATIONS } from '../brew/filtration.ts';
import type { BrewModel } from '../brew/model.ts';
import { yieldAtRatioFrac } from '../brew/strength.ts';
import { GRINDS } from '../coffee/grinds.ts';
import type { PlanOutcome } from './predict.ts';
import type { Plan } from './schema.ts';
import type { Explanation, UsedValue } from '../explanation.ts';

/** Numbers of a plan that can say where they come from. */
export const EXPLAINED = [
  'extraction',
  'strength',
  'brew',
  'retained',
  'caffeine',
  'level',
  'cost',
] as const;
export type Explained = (typeof EXPLAINED)[number];

const round = (value: number, digits: number): string => value.toFixed(digits);
const own = (symbol: string, name: string, value: string): UsedValue => ({
  symbol,
  name,
  value,
  source: 'entered or computed above',
  mark: 'this batch',
});

/**
 * Where each number of a plan comes from: its equation, the equation with this batch's numbers, the
 * constants with their sources.
 *
 * @returns one explanation per number; the numbers filled in are rounded as shown
 */
export function explainPlan(input: {
  plan: Plan;
  model: BrewModel;
  /** Of a kilogram of coffee, in the shop's money. */
  pricePerKg: number;
  result: PlanOutcome;
}): Readonly<Record<Explained, Explanation>> {
  const { plan, model, pricePerKg, result } = input;
  const { equilibriumYieldFrac } = model;
  const { outcome } = result;
  const { doseG, waterG, filtration } = plan;
  const ratio = waterG / doseG;
  const reachable = yieldAtRatioFrac({ ratio, equilibriumYieldFrac });
  const grind = GRINDS[plan.grind];
  const { label } = FILTRATIONS[filtration.method];
  const retainedGPerG = model.retainedGPerG[filtration.method];
  const e = outcome.extractionYieldFrac;
  const steeped = (e * doseG) / (waterG + e * doseG);
  const D = own('D', 'coffee', `${round(doseG, 0)} g`);
  const W = own('W', 'water', `${round(waterG, 0)} g`);
  const E = own('E', 'extraction', round(e, 4));
  const S: UsedValue = {
    symbol: 'S',
    name: 'soluble share at equilibrium',
    value: round(equilibriumYieldFrac, 3),
    source: CONSTANTS.solubleFrac.source,
    mark: CONSTANTS.solubleFrac.mark,
  };
  const k: UsedValue = {
    symbol: 'k',
    name: `retained by the grounds, ${label.toLowerCase()}`,
    value: `${retainedGPerG} g/g ± ${CONSTANTS.retainedSpreadGPerG.value}`,
    source: 'what drained and squeezed beds retain',
    mark: 'practice',
  };
  const rinse =
    filtration.rinseG > 0 ? `, then ${filtration.rinseG} g of rinse through the bed` : '';
  return {
    extraction: {
      title: 'Extraction',
      equation: 'E = S · R/(R + 0.5) · share released',
      filledIn: `${round(equilibriumYieldFrac, 3)} · ${round(ratio, 2)}/(${round(ratio, 2)} + 0.5) · ${round(outcome.releasedFrac, 4)} = ${round(reachable, 4)} · ${round(outcome.releasedFrac, 4)} = ${round(100 * e, 2)} %`,
      uses: [
        S,
        own('R', 'ratio by mass', round(ratio, 2)),
        {
          symbol: 'd, f',
          name: `${plan.grind} grounds: median size and share free at once`,
          value: `${grind.diameterUm} µm, ${grind.freeFrac}`,
          source: 'sieved cold brew grinds',
          mark: 'practice',
        },
        {
          symbol: 'D₂₂',
          name: 'apparent diffusivity of the bed at 22 °C',
          value: `${model.diffusivity22M2PerS.toExponential(1).replace('-', '−')} m²/s`,
          source: CONSTANTS.diffusivity22M2PerS.source,
          mark: CONSTANTS.diffusivity22M2PerS.mark,
        },
      ],
      method:
        'The share released is that of a lognormal spread of spheres (Crank 1975) over the steep’s own temperatures; slow wetting delays a part of it.',
    },
    strength: {
      title: 'Strength',
      equation: 'c = E·D/(W + E·D)',
      filledIn: `${round(e, 4)} · ${round(doseG, 0)}/(${round(waterG, 0)} + ${round(e * doseG, 1)}) = ${round(100 * steeped, 2)} %${rinse ? `${rinse}: ${round(100 * outcome.strengthFrac, 2)} %` : ''}`,
      uses: [E, D, W],
      method: 'The immersion balance: coffee solids over the whole mass of the liquid.',
    },
    brew: {
      title: 'Brew after straining',
      equation: 'B = W + E·D − k·D',
      filledIn: `${round(waterG, 0)} + ${round(e * doseG, 0)} − ${retainedGPerG} · ${round(doseG, 0)} = ${round(waterG + e * doseG - retainedGPerG * doseG, 0)} g${rinse}; ${round(outcome.brewMl, 0)} mL at 4 °C`,
      uses: [W, E, D, k],
      method:
        'Its volume is the sum of water (Kell 1975) and coffee solids (Choi and Okos 1986) at 4 °C.',
    },
    retained: {
      title: 'Retained by the grounds',
      equation: 'k·D',
      filledIn: `${retainedGPerG} · ${round(doseG, 0)} = ${round(outcome.retainedG, 0)} g`,
      uses: [k, D],
      method: 'Where the bed could absorb more than there is, it retains all of it.',
    },
    caffeine: {
      title: 'Caffeine',
      equation: 'o · C · D · share released/(W + E·D)',
      filledIn: `${CONSTANTS.caffeineOutFrac.value} · ${round(model.caffeineMgPerG, 1)} mg/g · ${round(doseG, 0)} · ${round(outcome.releasedFrac, 3)}/${round(waterG + e * doseG, 0)} = ${round(outcome.caffeineMgPerG, 2)} mg/g`,
      uses: [
        {
          symbol: 'C',
          name: 'caffeine in this coffee',
          value: `${round(model.caffeineMgPerG, 1)} mg/g`,
          source: 'arabica 1.2 %, robusta 2.2 %, decaf at most 0.1 % of mass',
          mark: 'memory',
        },
        {
          symbol: 'o',
          name: 'share that is out at equilibrium',
          value: String(CONSTANTS.caffeineOutFrac.value),
          source: CONSTANTS.caffeineOutFrac.source,
          mark: CONSTANTS.caffeineOutFrac.mark,
        },
        D,
        W,
      ],
      method: 'It comes out on the same curve as the solids.',
    },
    cost: {
      title: 'Coffee cost',
      equation: 'price · D/B',
      filledIn: `${round(pricePerKg, 2)} a kg · ${round(doseG / 1000, 3)} kg/${round(outcome.brewMl / 1000, 3)} L = ${outcome.brewMl > 0 ? round((pricePerKg * doseG) / outcome.brewMl, 2) : '0 L, nothing'} per L`,
      uses: [
        D,
        own('B', 'brew', `${round(outcome.brewMl, 0)} mL`),
        own('price', 'of a kilogram', round(pricePerKg, 2)),
      ],
      method: 'Coffee alone: what stays in the grounds is paid for too.',
    },
    level: {
      title: 'Level in the vessel',
      equation: 'W/ρ + v·D',
      filledIn: `${round(outcome.slurryMl - CONSTANTS.groundsDisplaceMlPerG.value * doseG, 0)} mL + ${CONSTANTS.groundsDisplaceMlPerG.value} · ${round(doseG, 0)} = ${round(outcome.slurryMl, 0)} mL`,
      uses: [
        W,
        D,
        {
          symbol: 'v',
          name: CONSTANTS.groundsDisplaceMlPerG.source,
          value: `${CONSTANTS.groundsDisplaceMlPerG.value} mL/g`,
          source: 'wet grounds',
          mark: CONSTANTS.groundsDisplaceMlPerG.mark,
        },
      ],
      method: `${100 * CONSTANTS.headspaceFrac.value} % of the vessel stays free, ${100 * CONSTANTS.shakenHeadspaceFrac.value} % where it is shaken.`,
    },
  };
}
