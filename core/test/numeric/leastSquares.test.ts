import { expect } from 'chai';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { leastSquares } from '../../src/numeric/leastSquares.ts';
import { expectNear } from '../near.ts';
import { NIST_SETS } from './nist.ts';

const pairs = (data: readonly number[]): { x: number; y: number }[] =>
  Array.from({ length: data.length / 2 }, (_, i) => ({ y: data[2 * i]!, x: data[2 * i + 1]! }));

describe('leastSquares', () => {
  // NIST StRD: certified to eleven digits, from both of the published starts.
  for (const { name, model, starts, certified, sumOfSquares, data } of NIST_SETS)
    starts.forEach((start, i) =>
      it(`${name} from its start ${i + 1}: the certified values to six digits`, () => {
        const points = pairs(data);
        const fit = leastSquares({
          start,
          residuals: (b) => points.map(({ x, y }) => model(b, x) - y),
        });
        expect(fit.status).to.equal('converged');
        fit.parameters.forEach((value, k) => expectNear(value, certified[k]!, 1e-6));
        expectNear(fit.sumOfSquares, sumOfSquares, 1e-8);
      }),
    );

  it('agrees with a reference library, on data with noise', () => {
    const points = Array.from({ length: 30 }, (_, i) => ({
      x: i / 5,
      y: 2.5 * Math.exp(-0.7 * (i / 5)) + 0.02 * Math.sin(7 * i),
    }));
    const ours = leastSquares({
      start: [1, 1],
      residuals: ([a = 0, b = 0]) => points.map(({ x, y }) => a * Math.exp(-b * x) - y),
    });
    const theirs = levenbergMarquardt(
      { x: points.map(({ x }) => x), y: points.map(({ y }) => y) },
      ([a = 0, b = 0]: number[]) =>
        (x: number) =>
          a * Math.exp(-b * x),
      {
        initialValues: [1, 1],
        damping: 1e-3,
        gradientDifference: 1e-6,
        centralDifference: true,
        maxIterations: 300,
        errorTolerance: 1e-12,
      },
    );
    ours.parameters.forEach((value, i) => expectNear(value, theirs.parameterValues[i]!, 1e-4));
  });

  it('its covariance is that of a straight line by hand', () => {
    // Slopes by differences are good to seven digits.
    // y = a + b·x at x = 0, 1, 2 with unit noise: var b = 1/Σ(x − 1)² = ½, var a = 1/3 + 1·½ = 5/6.
    const { covariance } = leastSquares({
      start: [0, 0],
      residuals: ([a = 0, b = 0]) => [0, 1, 2].map((x) => a + b * x - 3 * x),
    });
    expectNear(covariance[0]![0]!, 5 / 6, 1e-7);
    expectNear(covariance[1]![1]!, 1 / 2, 1e-7);
    expectNear(covariance[0]![1]!, -1 / 2, 1e-7);
  });

  it('says so where it did not come to an end', () => {
    const { status, rounds } = leastSquares({
      start: [500, 0.0001],
      mostRounds: 2,
      residuals: (b) => pairs(NIST_SETS[0]!.data).map(({ x, y }) => NIST_SETS[0]!.model(b, x) - y),
    });
    expect([status, rounds]).to.deep.equal(['iterationLimit', 2]);
  });
});
