import { expect } from 'chai';
import fc from 'fast-check';
import {
  percolationYieldFrac,
  immersionYieldFrac,
  strengthFrac,
  yieldAtRatioFrac,
} from '../../src/brew/strength.ts';
import { expectNear } from '../near.ts';

describe('strength and yield', () => {
  // SCA brewing standard: 55 g/L gives 1.15–1.45 % at 18–22 % yield, on what dripped through.
  for (const [yieldFrac, low, high] of [
    [0.18, 0.0105, 0.0118],
    [0.22, 0.0125, 0.0145],
  ] as const)
    it(`agrees with the brewing standard’s chart at ${100 * yieldFrac} %`, () => {
      const brewG = 1000 - 2 * 55;
      expectNear(
        percolationYieldFrac({ doseG: 55, brewG, strengthFrac: (yieldFrac * 55) / brewG }),
        yieldFrac,
        1e-12,
      );
      expect(strengthFrac({ doseG: 55, waterG: 1000, yieldFrac })).to.be.within(low - 0.001, high);
    });

  it('turns a reading of an immersion back into its yield', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.3, noNaN: true }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (yieldFrac, ratio) => {
          const amounts = { doseG: 500, waterG: 500 * ratio };
          const c = strengthFrac({ ...amounts, yieldFrac });
          expectNear(immersionYieldFrac({ ...amounts, strengthFrac: c }), yieldFrac, 1e-12);
        },
      ),
    );
  });

  it('gives half of the soluble share at a ratio of one half, and nearly all when thin', () => {
    expectNear(yieldAtRatioFrac({ ratio: 0.5, equilibriumYieldFrac: 0.215 }), 0.1075, 1e-12);
    expectNear(yieldAtRatioFrac({ ratio: 1000, equilibriumYieldFrac: 0.215 }), 0.215, 1e-3);
  });
});
