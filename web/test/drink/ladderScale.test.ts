import { expect } from 'chai';
import { ladderScale, ladderTicks } from '../../src/drink/ladderScale.ts';

describe('ladderScale', () => {
  it('reaches from nothing to 4 %, and holds what is stronger at its end', () => {
    expect(ladderScale(0)).to.equal(0);
    expect(ladderScale(0.02)).to.equal(50);
    expect(ladderScale(0.09)).to.equal(100);
  });

  it('has a tick at each whole per cent', () => {
    expect(ladderTicks).to.deep.equal([0, 0.01, 0.02, 0.03, 0.04]);
  });
});
