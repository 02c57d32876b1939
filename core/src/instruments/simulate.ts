import { randomExponential, randomLcg, randomNormal } from 'd3-random';
import type { BrewModel } from '../brew/model.ts';
import { CONSTANTS } from '../constants.ts';
import { createSteadiness } from './steadiness.ts';

/** What the stand-ins claim of themselves; the tests hold them to it. All ours. */
export const STAND_INS = {
  scale: { noiseG: 0.15, driftGPerHour: 0.6, settlingS: 0.35, stepG: 0.1 },
  refractometer: { noiseBrix: 0.02, coolingS: 12, stepBrix: 0.01 },
  probe: {
    noiseC: 0.06,
    doorsPerHour: 1.5,
    /** How much warmer it is at once when the door is opened, °C, and how soon that is gone. */
    doorC: 2.5,
    doorGoneS: 240,
    stepC: 0.1,
  },
  /** How far a coffee is from its label, as standard deviations. */
  coffee: { yieldFrac: 0.05, logRate: 0.2, retainedGPerG: 0.1, lossFrac: 0.004, looseLog: 0.05 },
} as const;

const toStep = (value: number, step: number): number => Math.round(value / step) * step;
const tidy = (value: number): number => Number(value.toFixed(4));

/** A scale that behaves like one: a pour as it happens, settling, noise, drift, tare. */
export interface SimulatedScale {
  readonly tare: () => void;
  /** Something lands on it at once, or is taken off, g. */
  readonly put: (massG: number) => void;
  /** Something is poured onto it, g, at g/s. */
  readonly pour: (input: { massG: number; gPerS: number }) => void;
  /** @returns what it shows after so long, and whether it stands still */
  readonly advance: (input: { s: number; atMs: number }) => { massG: number; isSteady: boolean };
}

/** @param seed of its noise; the same seed behaves the same */
export function createSimulatedScale(seed: number): SimulatedScale {
  const { noiseG, driftGPerHour, settlingS, stepG } = STAND_INS.scale;
  const normal = randomNormal.source(randomLcg(seed))(0, 1);
  const isSteady = createSteadiness({ withinG: 6 * noiseG });
  let loadG = 0;
  let leftG = 0;
  let gPerS = 0;
  let feltG = 0;
  let driftG = 0;
  let tareG = 0;
  return {
    tare: () => (tareG = feltG + driftG),
    put: (massG) => (loadG += massG),
    pour: (input) => {
      leftG = input.massG;
      gPerS = input.gPerS;
    },
    advance: ({ s, atMs }) => {
      // A hand does not pour evenly.
      const pouredG = Math.min(leftG, Math.max(0, gPerS * s * (1 + 0.25 * normal())));
      loadG += pouredG;
      leftG -= pouredG;
      feltG += (loadG - feltG) * (1 - Math.exp(-s / settlingS));
      driftG += driftGPerHour * Math.sqrt(s / 3600) * normal();
      const massG = tidy(toStep(feltG + driftG - tareG + noiseG * normal(), stepG));
      return { massG, isSteady: isSteady({ atMs, massG }) && leftG === 0 };
    },
  };
}

/** A refractometer with a drop on its glass that comes to room temperature. */
export interface SimulatedRefractometer {
  readonly drop: (input: { brix: number; tempC: number }) => void;
  readonly advance: (input: { s: number; roomC: number }) => {
    brix: number;
    sampleC: number;
  };
}

/** @param seed of its noise; the same seed behaves the same */
export function createSimulatedRefractometer(seed: number): SimulatedRefractometer {
  const { noiseBrix, coolingS, stepBrix } = STAND_INS.refractometer;
  const normal = randomNormal.source(randomLcg(seed))(0, 1);
  let brix = 0;
  let sampleC = 20;
  return {
    drop: (input) => {
      brix = input.brix;
      sampleC = input.tempC;
    },
    advance: ({ s, roomC }) => {
      sampleC += (roomC - sampleC) * (1 - Math.exp(-s / coolingS));
      // It shows what it sees: a warm drop reads too low.
      const seen = brix - CONSTANTS.brixPerC.value * (sampleC - 20) + noiseBrix * normal();
      return {
        brix: tidy(toStep(Math.max(0, seen), stepBrix)),
        sampleC: tidy(toStep(sampleC, 0.1)),
      };
    },
  };
}

/** A thermometer probe in a place whose door is opened now and then. */
export interface SimulatedProbe {
  /** Says the same for ever, as one does whose cable is broken. */
  readonly stick: (isStuck: boolean) => void;
  readonly advance: (input: { s: number; placeC: number }) => { tempC: number };
}

/** @param seed of its noise and its doors; the same seed behaves the same */
export function createSimulatedProbe(seed: number): SimulatedProbe {
  const { noiseC, doorsPerHour, doorC, doorGoneS, stepC } = STAND_INS.probe;
  const source = randomLcg(seed);
  const normal = randomNormal.source(source)(0, 1);
  const untilDoor = randomExponential.source(source)(doorsPerHour / 3600);
  let warmerC = 0;
  let doorInS = untilDoor();
  let stuckC: number | null = null;
  let lastC = 0;
  return {
    stick: (isStuck) => (stuckC = isStuck ? lastC : null),
    advance: ({ s, placeC }) => {
      warmerC *= Math.exp(-s / doorGoneS);
      doorInS -= s;
      while (doorInS <= 0) {
        warmerC += doorC;
        doorInS += untilDoor();
      }
      lastC = tidy(toStep(placeC + warmerC + noiseC * normal(), stepC));
      return { tempC: stuckC ?? lastC };
    },
  };
}

/**
 * The coffee as it really is, which nobody has told the model: what the stand-ins measure, and what a log
 * can learn.
 *
 * @param input.coffeeId the same coffee is always the same
 * @param input.seed of the shop's stand-ins
 */
export function hiddenModel(input: {
  model: BrewModel;
  coffeeId: string;
  seed: number;
}): BrewModel {
  const { model, coffeeId, seed } = input;
  const { yieldFrac, logRate, retainedGPerG } = STAND_INS.coffee;
  const normal = randomNormal.source(randomLcg(mixed(coffeeId, seed)))(0, 1);
  const moreG = retainedGPerG * normal();
  return {
    ...model,
    equilibriumYieldFrac: model.equilibriumYieldFrac * (1 + yieldFrac * normal()),
    diffusivity22M2PerS: model.diffusivity22M2PerS * Math.exp(logRate * normal()),
    lossFrac: STAND_INS.coffee.lossFrac * normalOf('loss', seed),
    retainedGPerG: Object.fromEntries(
      Object.entries(model.retainedGPerG).map(([method, retained]) => [method, retained + moreG]),
    ) as BrewModel['retainedGPerG'],
  };
}

/** How much more than the tables say the shop's scoop holds, which nobody has told the model either. */
export const scoopTimes = (seed: number): number =>
  Math.exp(STAND_INS.coffee.looseLog * normalOf('scoop', seed));

/** A standard normal of a name and a seed, the same each time. */
const normalOf = (name: string, seed: number): number =>
  randomNormal.source(randomLcg(mixed(name, seed)))(0, 1)();

/** A number from a name and a seed (FNV-1a; memory). */
function mixed(name: string, seed: number): number {
  let hash = (2166136261 ^ seed) >>> 0;
  for (const letter of name) hash = Math.imul(hash ^ letter.codePointAt(0)!, 16777619) >>> 0;
  return hash;
}
