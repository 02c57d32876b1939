import { diffusivityM2PerS } from '../../src/brew/diffusivity.ts';
import type { TemperatureHistory } from '../../src/brew/temperature.ts';
import { WETTINGS, type Wetting } from '../../src/brew/wetting.ts';
import { GRINDS, type Grind } from '../../src/coffee/grinds.ts';
import { CONSTANTS } from '../../src/constants.ts';
import { integrateReference } from '../odeReference.ts';

const MODES = 24;
const SIZE_STEP = 0.75;
const QUICK_S = 45;

/**
 * The release model as equations of motion, for an ODE library: for each sphere of the spread and
 * each mode of Crank's series, m' = wetting rate · share − n²π²D/r² · m. What is left in the grounds
 * is the sum of the modes. Modes that fade within seconds follow the wetting at once.
 *
 * @param input.tolerance of the library, per component
 * @param input.timesS ascending
 * @returns share of the equilibrium yield that is out at each time
 */
export function referenceRelease(input: {
  grind: Grind;
  wetting: Wetting;
  agitationS: readonly number[];
  history: TemperatureHistory;
  timesS: readonly number[];
  tolerance: number;
}): number[] {
  const { grind, wetting, agitationS, history, timesS, tolerance } = input;
  const { diameterUm, freeFrac } = GRINDS[grind];
  const tau = CONSTANTS.wettingTimeS.value;
  const sizes = Array.from({ length: 13 }, (_, i) => {
    const z = -4.5 + i * SIZE_STEP;
    return {
      weight: (SIZE_STEP * Math.exp((-z * z) / 2)) / Math.sqrt(2 * Math.PI),
      radiusM: ((diameterUm * 1e-6) / 2) * Math.exp(CONSTANTS.diameterSigma.value * z),
    };
  });
  const total = sizes.reduce((sum, { weight }) => sum + weight, 0);
  const modes = sizes.flatMap(({ weight, radiusM }) =>
    Array.from({ length: MODES }, (_, k) => ({
      share: ((weight / total) * 6) / (Math.PI * (k + 1)) ** 2,
      rate: ((k + 1) * Math.PI) ** 2 / radiusM ** 2,
    })),
  );
  const lastS = timesS.at(-1)!;
  const coldest = diffusivityM2PerS(history.tempC(lastS));
  const slow = modes.filter(({ rate }) => rate * coldest < 1 / QUICK_S);
  const quick = modes.filter(({ rate }) => rate * coldest >= 1 / QUICK_S);

  const wet0 = WETTINGS[wetting].wetFrac;
  let state = [1 - wet0, ...slow.map(({ share }) => wet0 * share)];
  // Independent of the fast form: the rate itself is larger for 20 minutes after each stir.
  const renewedUpto = (stir: number): number => stir + CONSTANTS.agitationRenewsS.value;
  const timesAt = (timeS: number): number =>
    agitationS.some((stir) => timeS >= stir && timeS < renewedUpto(stir))
      ? CONSTANTS.agitationRenewsTimes.value
      : 1;
  const stops = [
    ...new Set([...agitationS, ...agitationS.map(renewedUpto), ...history.breaksS, ...timesS]),
  ]
    .filter((at) => at > 0 && at <= lastS)
    .sort((a, b) => a - b);
  const outAt = (timeS: number): number => {
    const [dry, ...left] = state as [number, ...number[]];
    const now = diffusivityM2PerS(history.tempC(timeS));
    const held =
      left.reduce((sum, m) => sum + m, 0) +
      quick.reduce((sum, { share, rate }) => sum + ((dry / tau) * share) / (rate * now), 0);
    return freeFrac * (1 - dry) + (1 - freeFrac) * (1 - dry - held);
  };
  const course: number[] = timesS.includes(0) ? [freeFrac * wet0] : [];
  let from = 0;
  for (const to of stops) {
    const times = timesAt((from + to) / 2);
    const slope = (time: number, y: number[]): number[] => {
      const d = times * diffusivityM2PerS(history.tempC(time));
      const wettingRate = y[0]! / tau;
      return [-wettingRate, ...slow.map((m, i) => wettingRate * m.share - m.rate * d * y[i + 1]!)];
    };
    state = integrateReference({ slope, state, from, to, tolerance });
    from = to;
    if (agitationS.includes(to)) {
      const wetted = CONSTANTS.agitationWetsFrac.value * state[0]!;
      state = [state[0]! - wetted, ...slow.map(({ share }, i) => state[i + 1]! + wetted * share)];
    }
    if (timesS.includes(to)) course.push(outAt(to));
  }
  return course;
}
