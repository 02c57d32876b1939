import { CONSTANTS } from '../constants.ts';
import { FILTRATIONS } from '../brew/filtration.ts';
import type { BrewModel } from '../brew/model.ts';
import { waterLeftG, yieldAtRatioFrac } from '../brew/strength.ts';
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

/** A share that is a constant, in per cent. */
const percentOf = ({ value }: { readonly value: number }): string =>
  `${Number((100 * value).toPrecision(3))} %`;

const round = (value: number, digits: number): string => value.toFixed(digits);
/** A mass or volume with at least four figures, so that what is filled in comes to what is shown. */
const four = (value: number): string =>
  value >= 1000 || value === 0
    ? value.toFixed(0)
    : value.toFixed(Math.max(0, 3 - Math.floor(Math.log10(value))));
const own = (symbol: string, name: string, value: string, why?: Explained): UsedValue => ({
  symbol,
  name,
  value,
  source: why === undefined ? 'entered or computed above' : 'computed',
  mark: 'this batch',
  why,
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
  /** Of a kilogram of coffee, in the shop's money; null where it is not known. */
  pricePerKg: number | null;
  result: PlanOutcome;
}): Readonly<Record<Explained, Explanation>> {
  const { plan, model, pricePerKg, result } = input;
  const price = pricePerKg === null ? 'not known' : round(pricePerKg, 2);
  const { equilibriumYieldFrac } = model;
  const { outcome } = result;
  const { doseG, filtration } = plan;
  const { lossFrac = 0 } = model;
  const waterG = waterLeftG(plan.waterG, lossFrac);
  const ratio = plan.waterG / doseG;
  const reachable = yieldAtRatioFrac({ ratio, equilibriumYieldFrac });
  const grind = GRINDS[plan.grind];
  const { label } = FILTRATIONS[filtration.method];
  const retainedGPerG = model.retainedGPerG[filtration.method];
  const e = outcome.extractionYieldFrac;
  const steeped = (e * doseG) / (waterG + e * doseG);
  const D = own('D', 'coffee', `${four(doseG)} g`);
  const poured = own('W', 'water', `${four(plan.waterG)} g`);
  const W =
    lossFrac === 0
      ? poured
      : own(
          'W',
          `water, ${four(plan.waterG)} g poured · (1 − ${round(lossFrac, 4)}), which goes without coffee`,
          `${four(waterG)} g`,
        );
  const E = own('E', 'extraction', round(e, 4), 'extraction');
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
  const { rinseG } = filtration;
  const liquidG = waterG + e * doseG;
  const mostG = retainedGPerG * doseG;
  const bedG = Math.min(mostG, liquidG);
  const drainedG = liquidG - bedG;
  // Of the rinse so much comes through as the bed does not take up for itself.
  const rinsedG = Math.max(0, bedG + rinseG - mostG);
  const steepedMgPerG =
    (CONSTANTS.caffeineOutFrac.value * model.caffeineMgPerG * doseG * outcome.releasedFrac) /
    liquidG;
  const absorbsAll = mostG >= liquidG;
  return {
    extraction: {
      title: 'Extraction',
      equation: `E = S · R/(R + ${CONSTANTS.halfRatio.value}) · share released`,
      filledIn: `${round(equilibriumYieldFrac, 4)} · ${four(ratio)}/(${four(ratio)} + ${CONSTANTS.halfRatio.value}) · ${round(outcome.releasedFrac, 4)} = ${round(reachable, 4)} · ${round(outcome.releasedFrac, 4)} = ${round(100 * e, 2)} %`,
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
      equation:
        rinsedG > 0
          ? 'c = E·D/(W + E·D); after the rinse c · (B₀ + r · K/(K + V))/(B₀ + r)'
          : 'c = E·D/(W + E·D)',
      filledIn: `${round(e, 4)} · ${four(doseG)}/(${four(waterG)} + ${four(e * doseG)}) = ${round(100 * steeped, 3)} %${
        rinsedG > 0
          ? `; ${round(100 * steeped, 3)} % · (${four(drainedG)} + ${four(rinsedG)} · ${four(bedG)}/(${four(bedG)} + ${four(rinseG)}))/(${four(drainedG)} + ${four(rinsedG)}) = ${round(100 * outcome.strengthFrac, 2)} %`
          : ''
      }`,
      uses: [
        E,
        D,
        W,
        ...(rinsedG > 0
          ? [
              own('B₀', 'what drains before the rinse', `${four(drainedG)} g`),
              own('K', 'retained by the grounds', `${four(bedG)} g`, 'retained'),
              own('V', 'rinse water', `${four(rinseG)} g`),
              own('r', 'what of it comes through', `${four(rinsedG)} g`),
            ]
          : []),
      ],
      method: 'The immersion balance: coffee solids over the whole mass of the liquid.',
    },
    brew: {
      title: 'Brew after straining',
      equation: absorbsAll ? 'B = W + E·D − min(k·D, W + E·D) + r' : 'B = W + E·D − k·D + V',
      filledIn: `${
        absorbsAll
          ? `${four(waterG)} + ${four(e * doseG)} − min(${retainedGPerG} · ${four(doseG)}, ${four(waterG)} + ${four(e * doseG)}) + ${four(rinsedG)}`
          : `${four(waterG)} + ${four(e * doseG)} − ${retainedGPerG} · ${four(doseG)} + ${four(rinseG)}`
      } = ${four(outcome.brewG)} g`,
      uses: [W, E, D, k],
      method: `Its volume is ${four(outcome.brewMl)} mL: the sum of water (Kell 1975) and coffee solids (Choi and Okos 1986) at ${CONSTANTS.brewVolumeTempC.value} °C.`,
    },
    retained: {
      title: 'Retained by the grounds',
      equation: absorbsAll ? 'min(k·D, W + E·D + V)' : 'k·D',
      filledIn: absorbsAll
        ? `min(${retainedGPerG} · ${four(doseG)}, ${four(waterG)} + ${four(e * doseG)} + ${four(rinseG)}) = ${four(outcome.retainedG)} g`
        : `${retainedGPerG} · ${four(doseG)} = ${four(outcome.retainedG)} g`,
      uses: [k, D],
      method: 'Where the bed could absorb more than there is, it retains all of it.',
    },
    caffeine: {
      title: 'Caffeine',
      equation:
        rinsedG > 0
          ? 'o · C · D · share released/(W + E·D), thinned by the rinse as the solids are'
          : 'o · C · D · share released/(W + E·D)',
      filledIn: `${CONSTANTS.caffeineOutFrac.value} · ${round(model.caffeineMgPerG, 2)} mg/g · ${four(doseG)} · ${round(outcome.releasedFrac, 4)}/${four(liquidG)} = ${round(steepedMgPerG, 3)} mg/g${
        rinsedG > 0
          ? `; ${round(steepedMgPerG, 3)} mg/g · ${round(100 * outcome.strengthFrac, 3)}/${round(100 * steeped, 3)} = ${round(outcome.caffeineMgPerG, 2)} mg/g`
          : ''
      }`,
      uses: [
        {
          symbol: 'C',
          name: 'caffeine in this coffee',
          value: `${round(model.caffeineMgPerG, 1)} mg/g`,
          source: `arabica ${percentOf(CONSTANTS.arabicaCaffeineFrac)}, robusta ${percentOf(CONSTANTS.robustaCaffeineFrac)}, decaf at most ${percentOf(CONSTANTS.decafCaffeineFrac)} of mass`,
          mark: 'memory',
        },
        {
          symbol: 'o',
          name: 'share that is out at equilibrium',
          value: String(CONSTANTS.caffeineOutFrac.value),
          source: CONSTANTS.caffeineOutFrac.source,
          mark: CONSTANTS.caffeineOutFrac.mark,
        },
        own('share released', 'of its equilibrium', round(outcome.releasedFrac, 4), 'extraction'),
        D,
        W,
      ],
      method: `It comes out on the same curve as the solids. What the species is known to hold makes it ${round(result.range.caffeineMgPerG.low, 2)} to ${round(result.range.caffeineMgPerG.high, 2)} mg/g.`,
    },
    cost: {
      title: 'Coffee cost',
      equation: 'price · D/B',
      filledIn:
        outcome.brewMl > 0
          ? `${price} per kg · ${four(doseG / 1000)} kg/${four(outcome.brewMl / 1000)} L = ${pricePerKg === null ? 'not known' : round((pricePerKg * doseG) / outcome.brewMl, 2)} per L`
          : `${price} per kg · ${four(doseG / 1000)} kg, and nothing comes out`,
      uses: [
        D,
        own('B', 'brew', `${four(outcome.brewMl)} mL`, 'brew'),
        own('price', 'of a kilogram', price),
      ],
      method: 'Coffee alone: what stays in the grounds is paid for too.',
    },
    level: {
      title: 'Level in the vessel',
      equation: 'W/ρ + v·D',
      filledIn: `${four(outcome.slurryMl - CONSTANTS.groundsDisplaceMlPerG.value * doseG)} mL + ${CONSTANTS.groundsDisplaceMlPerG.value} · ${four(doseG)} = ${four(outcome.slurryMl)} mL`,
      uses: [
        poured,
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
