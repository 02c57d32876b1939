import { CONSTANTS } from '../../src/constants.ts';
import { coldDebtJ, iceAreaM2 } from '../../src/drink/ice.ts';
import type { MeltInput, MeltPoint } from '../../src/drink/melt.ts';
import { coffeeOf } from '../../src/matter/composition.ts';
import { heatCapacityJPerK } from '../../src/matter/properties.ts';
import { integrateReference } from '../odeReference.ts';

/**
 * The melt as plain equations in mass, heat and debt, stepped by an ODE library in pieces of a few
 * seconds, so that the corners (debt paid, ice gone) fall near the ends of pieces.
 */
export function referenceMelt(input: {
  input: MeltInput;
  minutes: readonly number[];
  tolerance: number;
}): MeltPoint[] {
  const { input: drink, minutes, tolerance } = input;
  const ice = drink.ice!;
  const base = heatCapacityJPerK({ composition: drink.liquid, tempC: drink.tempC });
  const meltHeat = heatCapacityJPerK({
    composition: coffeeOf({ massG: 1, strengthFrac: ice.coffeeFrac }),
    tempC: drink.tempC,
  });
  const roomW =
    CONSTANTS.roomTransferWPerM2K.value *
    CONSTANTS.cupAreaFactor.value *
    (drink.cupMl / 1e6) ** (2 / 3);
  const iceW = CONSTANTS.iceTransferWPerM2K.value * iceAreaM2(ice);
  const temp = (heat: number, left: number): number =>
    heat / (base + meltHeat * (ice.massG - left));
  const slope =
    (paying: boolean, gone: boolean) =>
    (_: number, y: number[]): number[] => {
      const left = gone ? 0 : Math.max(0, y[1]!);
      const t = temp(y[0]!, left);
      const toIce = gone ? 0 : iceW * (left / ice.massG) ** (2 / 3) * t;
      const perG = CONSTANTS.fusionJPerG.value;
      return [
        roomW * (drink.roomC - t) - toIce,
        paying || gone ? 0 : -toIce / perG,
        paying ? -toIce : 0,
      ];
    };
  let state = [base * drink.tempC, ice.massG, coldDebtJ(ice)];
  let time = 0;
  const points: MeltPoint[] = [];
  for (const minute of minutes) {
    while (time < minute * 60 - 1e-12) {
      const left = minute * 60 - time;
      let step = Math.min(2, left);
      const paying = state[2]! > 0;
      const gone = state[1]! <= 0;
      const run = (span: number) =>
        integrateReference({ slope: slope(paying, gone), state, from: 0, to: span, tolerance });
      let next = run(step);
      const watched = paying ? 2 : 1;
      // Bisect to the corner when a piece crosses it.
      if (!gone && next[watched]! < 1e-9) {
        let [low, high] = [0, step];
        for (let i = 0; i < 50; i++) {
          const middle = (low + high) / 2;
          if (run(middle)[watched]! < 1e-9) high = middle;
          else low = middle;
        }
        step = high;
        next = run(step);
        next[watched] = 0;
      }
      state = next;
      time += step;
    }
    points.push({ meltedG: ice.massG - state[1]!, tempC: temp(state[0]!, state[1]!) });
  }
  return points;
}
