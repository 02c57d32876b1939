import { expect } from 'chai';
import { slurryMl, vesselFit, waterToLineG } from '../../src/brew/vessel.ts';
import { expectNear } from '../near.ts';

describe('vessel', () => {
  it('fills to a line and comes back to it', () => {
    const waterG = waterToLineG({ lineMl: 5190, doseG: 900, tempC: 4 });
    expectNear(slurryMl({ doseG: 900, waterG, tempC: 4 }), 5190, 1e-12);
  });

  for (const [slurry, shaken, fit] of [
    [5000, false, 'fits'],
    [5500, false, 'tight'],
    [5000, true, 'tight'],
    [6200, false, 'overflows'],
  ] as const)
    it(`${slurry} mL in a 6 L jar${shaken ? ', shaken,' : ''} ${fit}`, () => {
      expect(vesselFit({ slurryMl: slurry, vesselMl: 6000, shaken }).fit).to.equal(fit);
    });
});
