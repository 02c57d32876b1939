import type { Estimate, Learned } from './learnedSchema.ts';
import type { BrewModel } from './model.ts';
import { SIGMAS } from './spreads.ts';

/**
 * A coffee's model with what the shop's log has taught of it.
 *
 * @param input.model of the handbook, with the coffee's own traits
 * @param input.version of what was learned, from 1
 * @returns the model, and how well its parts are known by now
 */
export function learnedModel(input: {
  model: BrewModel;
  coffeeId: string;
  learned: Learned;
  version: number;
}): BrewModel {
  const { model, coffeeId, learned, version } = input;
  const { yieldLog, rateLog, correlationFrac } = learned.coffees[coffeeId] ?? learned.anyCoffee;
  const retained = Object.entries(learned.retainedGPerG) as [
    keyof BrewModel['retainedGPerG'],
    Estimate,
  ][];
  const { looseLog, lossFrac } = learned;
  return {
    ...model,
    ...(lossFrac && { lossFrac: lossFrac.value }),
    ...(looseLog && { looseDensityGPerMl: denser(model.looseDensityGPerMl, looseLog.value) }),
    equilibriumYieldFrac: Math.min(
      MOST_YIELD,
      model.equilibriumYieldFrac * Math.exp(yieldLog.value),
    ),
    diffusivity22M2PerS: model.diffusivity22M2PerS * Math.exp(rateLog.value),
    retainedGPerG: {
      ...model.retainedGPerG,
      ...Object.fromEntries(
        retained.map(([method, { value }]) => [
          method,
          Math.max(0, model.retainedGPerG[method] + value),
        ]),
      ),
    },
    learned: {
      version,
      yieldSigma: yieldLog.sigma,
      rateSigma: rateLog.sigma,
      correlationFrac,
      retainedSigmaGPerG: Object.fromEntries(
        retained.map(([method, { sigma }]) => [method, sigma]),
      ),
      ...(lossFrac && { lossSigmaFrac: lossFrac.sigma }),
      ...(looseLog && { looseLog }),
    },
  };
}
const denser = (
  densities: BrewModel['looseDensityGPerMl'],
  byLog: number,
): BrewModel['looseDensityGPerMl'] =>
  Object.fromEntries(
    Object.entries(densities).map(([grind, gPerMl]) => [grind, gPerMl * Math.exp(byLog)]),
  ) as unknown as BrewModel['looseDensityGPerMl'];
/**
 * How the spread of a scooped volume is shared between how a bench scoops and one scoop after another
 * (ours): both together are the constant's.
 */
export const SCOOP = {
  benchSigma: 0.8 * SIGMAS.looseDensity,
  eachSigma: 0.6 * SIGMAS.looseDensity,
} as const;
/** Limit of the model. */
const MOST_YIELD = 0.4;

/** Of each part that can be learned, its standard deviation over the handbook's: 1 where nothing was. */
export function knownTimes(model: BrewModel, method: keyof BrewModel['retainedGPerG']) {
  const { learned } = model;
  const retained = learned?.retainedSigmaGPerG[method];
  return {
    equilibriumYield: learned ? learned.yieldSigma / SIGMAS.soluble : 1,
    diffusivity: learned ? learned.rateSigma / SIGMAS.logDiffusivity : 1,
    retained: retained === undefined ? 1 : retained / SIGMAS.retainedGPerG,
    loss: learned?.lossSigmaFrac === undefined ? 1 : learned.lossSigmaFrac / SIGMAS.lossFrac,
    looseDensity:
      learned?.looseLog === undefined
        ? 1
        : Math.hypot(learned.looseLog.sigma, SCOOP.eachSigma) / SIGMAS.looseDensity,
  } as const;
}
