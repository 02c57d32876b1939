import { expect } from 'chai';
import jstat from 'jstat';
import { USUAL_MODEL as model } from '../../src/brew/model.ts';
import { brewRange } from '../../src/brew/range.ts';
import type { BrewInput } from '../../src/brew/brew.ts';
import { createMonteCarlo, widthLeftFrac } from '../../src/brew/monteCarlo.ts';
import { constantTemperature } from '../../src/brew/temperature.ts';
import { createRandom } from '../../src/numeric/random.ts';
import { expectNear } from '../near.ts';

const HOUR = 3600;
const input: BrewInput = {
  doseG: 900,
  waterG: 4500,
  grind: 'coarse',
  wetting: 'stages',
  history: constantTemperature([{ durationS: 18 * HOUR, tempC: 4 }]),
  steepS: 18 * HOUR,
  agitationS: [],
  filtration: { method: 'drain', rinseG: 0 },
};
const ofScoop = (factor: number): BrewInput => ({ ...input, doseG: 900 * factor });

describe('createRandom', () => {
  it('is uniform and normal enough for 100,000 draws (jStat’s distributions)', () => {
    const random = createRandom(7);
    const uniform = Array.from({ length: 100_000 }, random.uniform).sort((a, b) => a - b);
    const normal = Array.from({ length: 100_000 }, random.normal).sort((a, b) => a - b);
    // Kolmogorov–Smirnov at α = 0.001: 1.95/√n.
    const gap = (sorted: number[], cdf: (x: number) => number) =>
      Math.max(...sorted.map((x, i) => Math.abs(cdf(x) - (i + 0.5) / sorted.length)));
    expect(gap(uniform, (x) => x)).to.be.below(1.95 / Math.sqrt(1e5));
    expect(gap(normal, (x) => jstat.normal.cdf(x, 0, 1))).to.be.below(1.95 / Math.sqrt(1e5));
  });

  it('repeats itself for a seed and differs for another', () => {
    const first = createRandom(3);
    const again = createRandom(3);
    const other = createRandom(4);
    const draws = Array.from({ length: 20 }, first.uniform);
    expect(Array.from({ length: 20 }, again.uniform)).to.deep.equal(draws);
    expect(Array.from({ length: 20 }, other.uniform)).to.not.deep.equal(draws);
  });
});

describe('createMonteCarlo', () => {
  it('agrees with first-order propagation where the model is nearly linear', () => {
    for (const options of [{}, { ofScoop }]) {
      const sampled = createMonteCarlo({ brew: input, model, seed: 11, ...options }).advance(8000);
      const linear = brewRange(input, model, options);
      const width = (range: { low: number; high: number }) => range.high - range.low;
      // 8,000 draws leave 2 % in a percentile; a scoop's curvature another few.
      expectNear(width(sampled.strengthFrac), width(linear.strengthFrac), 0.06);
      expectNear(width(sampled.brewMl), width(linear.brewMl), 0.06);
      expectNear(sampled.strengthFrac.low, linear.strengthFrac.low, 0.02);
      expectNear(sampled.strengthFrac.high, linear.strengthFrac.high, 0.02);
    }
  });

  it('gives the same ranges for the same seed, however it is cut into steps', () => {
    const whole = createMonteCarlo({ brew: input, model, seed: 5 }).advance(1000);
    const stepped = createMonteCarlo({ brew: input, model, seed: 5 });
    stepped.advance(300);
    expect(stepped.advance(700)).to.deep.equal(whole);
  });

  it('names the scoop as what a scooped batch is uncertain by, and weighing as the cure', () => {
    const scooped = createMonteCarlo({ brew: input, model, seed: 5, ofScoop }).advance(3000);
    const [most] = scooped.strengthFrac.contributions;
    expect(most!.input).to.equal('looseDensity');
    expect(widthLeftFrac(most!.shareFrac)).to.be.below(0.75);
    const weighed = createMonteCarlo({ brew: input, model, seed: 5 }).advance(3000);
    expect(weighed.strengthFrac.contributions.map((one) => one.input)).to.not.include(
      'looseDensity',
    );
    expect(weighed.brewMl.contributions[0]!.input).to.equal('retained');
  });

  it('shares the variance of a nearly linear model out to one', () => {
    const { strengthFrac } = createMonteCarlo({ brew: input, model, seed: 9, ofScoop }).advance(
      6000,
    );
    const sum = strengthFrac.contributions.reduce((total, { shareFrac }) => total + shareFrac, 0);
    expect(sum).to.be.within(0.93, 1.05);
  });
});
