import { expect } from 'chai';
import { CONSTANTS } from '../src/constants.ts';

describe('the table of constants', () => {
  for (const [name, constant] of Object.entries(CONSTANTS))
    it(`${name} has a source, a mark, and a range around its value`, () => {
      expect(constant.source).to.have.length.above(5);
      const { low, high } = { low: constant.value, high: constant.value, ...constant };
      expect(constant.value).to.be.within(low, high);
    });

  it('holds the soluble share that its parts give: 0.30 × 0.717', () => {
    const { maximumYieldFrac, partitionFrac, solubleFrac } = CONSTANTS;
    expect(solubleFrac.value).to.be.closeTo(maximumYieldFrac.value * partitionFrac.value, 2e-4);
  });
});
