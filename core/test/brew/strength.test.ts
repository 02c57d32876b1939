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
  // SCA brewing standard: 55 g to a litre gives 1.15–1.45 % at 18–22 % yield. A drained bed of it keeps
  // about 2 g/g, so 890 g drip through.
  it('finds the standard’s yield in the middle of its strengths by what dripped through, not by immersion', () => {
    const reading = { doseG: 55, strengthFrac: 0.013 };
    expect(percolationYieldFrac({ ...reading, brewG: 890 })).to.be.within(0.18, 0.22);
    expect(immersionYieldFrac({ ...reading, waterG: 1000 })).not.to.be.within(0.18, 0.22);
  });

  it('finds its low end at its low yield: 18 % of 55 g in 890 g is 1.11 %, by immersion 0.98 %', () => {
    expectNear(percolationYieldFrac({ doseG: 55, brewG: 890, strengthFrac: 0.0115 }), 0.186, 0.005);
    expectNear(strengthFrac({ doseG: 55, waterG: 1000, yieldFrac: 0.18 }), 0.0098, 0.002);
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
