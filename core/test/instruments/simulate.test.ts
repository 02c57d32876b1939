import { expect } from 'chai';
import { USUAL_MODEL as model } from '../../src/brew/model.ts';
import { CONSTANTS } from '../../src/constants.ts';
import {
  createSimulatedProbe,
  createSimulatedRefractometer,
  createSimulatedScale,
  hiddenModel,
  STAND_INS,
} from '../../src/instruments/simulate.ts';

const mean = (values: readonly number[]): number =>
  values.reduce((a, b) => a + b, 0) / values.length;
const deviation = (values: readonly number[]): number => {
  const middle = mean(values);
  return Math.sqrt(mean(values.map((value) => (value - middle) ** 2)));
};

describe('the stand-ins are what they claim', () => {
  it('a scale: noise of 0.15 g, on a step of 0.1 g', () => {
    const scale = createSimulatedScale(5);
    scale.put(500);
    for (let i = 0; i < 50; i++) scale.advance({ s: 0.1, atMs: 100 * i });
    const shown = Array.from(
      { length: 4000 },
      (_, i) => scale.advance({ s: 1e-6, atMs: 5000 + i }).massG,
    );
    // Rounding to a step h adds h²/12.
    const expected = Math.hypot(STAND_INS.scale.noiseG, STAND_INS.scale.stepG / Math.sqrt(12));
    expect(deviation(shown)).to.be.closeTo(expected, 0.05 * expected);
    shown.forEach((massG) =>
      expect(Math.abs(massG * 10 - Math.round(massG * 10))).to.be.below(1e-6),
    );
  });

  it('a scale drifts by 0.6 g in an hour, as a random walk', () => {
    const ends = Array.from({ length: 300 }, (_, seed) => {
      const scale = createSimulatedScale(seed + 1);
      for (let i = 0; i < 60; i++) scale.advance({ s: 60, atMs: 60_000 * i });
      return scale.advance({ s: 1e-6, atMs: 3.6e6 }).massG;
    });
    const expected = Math.hypot(STAND_INS.scale.driftGPerHour, STAND_INS.scale.noiseG);
    expect(deviation(ends)).to.be.closeTo(expected, 0.15 * expected);
  });

  it('a pour is seen as it happens: moving, then steady at what was poured; tare makes it 0', () => {
    const scale = createSimulatedScale(9);
    scale.put(1200);
    let atMs = 0;
    const tick = () => scale.advance({ s: 0.1, atMs: (atMs += 100) });
    for (let i = 0; i < 30; i++) tick();
    scale.tare();
    expect(tick().massG).to.be.closeTo(0, 1.5);
    scale.pour({ massG: 2000, gPerS: 200 });
    const seen = Array.from({ length: 200 }, tick);
    const half = seen.find(({ massG }) => massG > 1000)!;
    expect(half.isSteady).to.equal(false);
    expect(seen.at(-1)!.isSteady).to.equal(true);
    expect(seen.at(-1)!.massG).to.be.closeTo(2000, 2);
  });

  it('a refractometer reads a warm drop too low until it has cooled', () => {
    const meter = createSimulatedRefractometer(3);
    meter.drop({ brix: 4, tempC: 50 });
    const warm = meter.advance({ s: 1, roomC: 20 });
    // Newton's cooling for a second, and 0.07 °Bx for each degree that is left.
    const leftC = 30 * Math.exp(-1 / STAND_INS.refractometer.coolingS);
    expect(warm.brix).to.be.closeTo(4 - CONSTANTS.brixPerC.value * leftC, 0.1);
    const cool = Array.from({ length: 400 }, () => meter.advance({ s: 1, roomC: 20 })).slice(-200);
    expect(mean(cool.map(({ brix }) => brix))).to.be.closeTo(4, 0.01);
    expect(deviation(cool.map(({ brix }) => brix))).to.be.closeTo(
      STAND_INS.refractometer.noiseBrix,
      0.004,
    );
  });

  it('a probe sees its door opened 1.5 times an hour, and the warmth go', () => {
    const probe = createSimulatedProbe(11);
    const hours = 400;
    let [doors, before] = [0, 4];
    for (let i = 0; i < hours * 120; i++) {
      const { tempC } = probe.advance({ s: 30, placeC: 4 });
      if (tempC - before > 1.2) doors += 1;
      before = tempC;
    }
    // A Poisson count: its standard deviation is its root.
    const expected = STAND_INS.probe.doorsPerHour * hours;
    expect(doors).to.be.closeTo(expected, 3 * Math.sqrt(expected));
  });

  it('a stuck probe says the same for ever', () => {
    const probe = createSimulatedProbe(2);
    const { tempC } = probe.advance({ s: 1, placeC: 4 });
    probe.stick(true);
    for (let i = 0; i < 50; i++) expect(probe.advance({ s: 60, placeC: 20 }).tempC).to.equal(tempC);
    probe.stick(false);
    expect(probe.advance({ s: 60, placeC: 20 }).tempC).to.be.above(15);
  });

  it('coffees differ from their labels as much as it says, and each stays the same', () => {
    const yields = Array.from({ length: 1500 }, (_, i) =>
      hiddenModel({ model, coffeeId: `lot-${i}`, seed: 4 }),
    );
    const logRates = yields.map((of) =>
      Math.log(of.diffusivity22M2PerS / model.diffusivity22M2PerS),
    );
    expect(deviation(logRates)).to.be.closeTo(STAND_INS.coffee.logRate, 0.015);
    const times = yields.map((of) => of.equilibriumYieldFrac / model.equilibriumYieldFrac);
    expect(deviation(times)).to.be.closeTo(STAND_INS.coffee.yieldFrac, 0.004);
    expect(hiddenModel({ model, coffeeId: 'lot-3', seed: 4 })).to.deep.equal(yields[3]);
  });
});
