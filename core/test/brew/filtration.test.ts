import { expect } from 'chai';
import { filterSlurry } from '../../src/brew/filtration.ts';
import { expectNear } from '../near.ts';

describe('filterSlurry', () => {
  it('rinses by the handbook’s balance: as much stays behind, at the mixed strength', () => {
    const [doseG, c, k, rinseG] = [1000, 0.035, 2, 500];
    const parted = filterSlurry({
      doseG,
      liquidG: 5170,
      strengthFrac: c,
      retainedGPerG: k,
      rinseG,
    });
    const drained = 5170 - k * doseG;
    expectNear(parted.brewG, drained + rinseG, 1e-12);
    const solids = c * drained + (rinseG * c * k * doseG) / (k * doseG + rinseG);
    expectNear(parted.strengthFrac, solids / parted.brewG, 1e-12);
  });

  it('drains nothing from a bed that drinks it all, instead of a negative volume', () => {
    const parted = filterSlurry({
      doseG: 1000,
      liquidG: 1500,
      strengthFrac: 0.1,
      retainedGPerG: 2,
      rinseG: 0,
    });
    expect(parted).to.deep.equal({ brewG: 0, strengthFrac: 0.1, retainedG: 1500 });
  });
});
