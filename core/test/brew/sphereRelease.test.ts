import { expect } from 'chai';
import { sphereReleaseFrac, sphereReleaseSlope } from '../../src/brew/sphereRelease.ts';
import { spreadReleaseFrac, summedReleaseFrac } from '../../src/brew/spreadRelease.ts';
import { CONSTANTS } from '../../src/constants.ts';
import { expectNear } from '../near.ts';

describe('sphereReleaseFrac', () => {
  // Crank 1975, The Mathematics of Diffusion, sphere at constant surface concentration.
  const rows: [fourier: number, expected: number][] = [
    [0.01, 0.3085],
    [0.05, 0.6069],
    [0.1, 0.7705],
    [0.2, 0.9155],
    [0.5, 0.9956],
  ];
  for (const [fourier, expected] of rows)
    it(`is ${expected} at a Fourier number of ${fourier}`, () => {
      expect(sphereReleaseFrac(fourier)).to.be.closeTo(expected, 5e-5);
    });

  it('agrees with the plain series of 20,000 terms on both sides of the switch', () => {
    for (const fourier of [0.005, 0.0299, 0.0301, 0.08, 1]) {
      let left = 0;
      for (let n = 20_000; n >= 1; n--) left += Math.exp(-n * n * Math.PI ** 2 * fourier) / (n * n);
      expect(sphereReleaseFrac(fourier)).to.be.closeTo(1 - (6 / Math.PI ** 2) * left, 1e-11);
    }
  });

  it('has the slope of its own differences', () => {
    for (const fourier of [0.001, 0.02, 0.05, 0.4]) {
      const h = fourier * 1e-5;
      const difference =
        (sphereReleaseFrac(fourier + h) - sphereReleaseFrac(fourier - h)) / (2 * h);
      expectNear(sphereReleaseSlope(fourier), difference, 1e-7);
    }
  });
});

describe('the spread of spheres', () => {
  const sigma = CONSTANTS.diameterSigma.value;

  it('is summed by a fixed quadrature within 1e-11 of one sixteen times as fine', () => {
    for (const fourier of [1e-6, 1e-4, 1e-2, 0.1, 1, 10]) {
      let fine = 0;
      const step = 1 / 32;
      for (let z = -9; z <= 9; z += step)
        fine +=
          ((step * Math.exp((-z * z) / 2)) / Math.sqrt(2 * Math.PI)) *
          sphereReleaseFrac(fourier * Math.exp(-2 * sigma * z));
      expect(summedReleaseFrac({ fourier, sigma })).to.be.closeTo(fine, 1e-11);
    }
  });

  it('is read back from its table within 1e-8 of the sum', () => {
    for (let fourier = 2e-8; fourier < 200; fourier *= 1.37)
      expect(spreadReleaseFrac(fourier)).to.be.closeTo(summedReleaseFrac({ fourier, sigma }), 1e-8);
  });

  it('never falls', () => {
    let before = 0;
    for (let fourier = 1e-8; fourier < 200; fourier *= 1.01) {
      const share = spreadReleaseFrac(fourier);
      expect(share).to.be.at.least(before);
      before = share;
    }
  });
});
