import { expect } from 'chai';
import { diluentTempC } from '../../src/drink/diluentTemp.ts';
import { solveDrink } from '../../src/drink/solve.ts';
import { filled, lidoDrink } from './drinks.ts';

describe('a hot drink', () => {
  const hot = (fillC: number) =>
    lidoDrink(
      { diluents: [filled('water', fillC)], target: { parts: { concentrate: 1, fill: 1 } } },
      { ice: null, cupMl: 300 },
    );

  it('one to one of 4 °C concentrate and 92 °C water comes to 47.6 °C', () => {
    // By hand: a mL of concentrate is 1.0126 g · 4.038 J/(g K) = 4.09 J/K, of water at 92 °C
    // 0.9640 g · 4.167 = 4.02 J/K; (4.09 · 4 + 4.02 · 92)/(4.09 + 4.02) = 47.6 °C.
    expect(solveDrink(hot(92)).mixed.tempC).to.be.closeTo(47.6, 0.1);
  });

  it('says how hot the water must be for a cup of 45 °C, and it is so', () => {
    const tempC = diluentTempC({ drink: hot(92), cupC: 45 })!;
    expect(solveDrink(hot(tempC)).mixed.tempC).to.be.closeTo(45, 1e-3);
  });

  it('says that boiling water does not bring one to one to 62 °C', () => {
    expect(diluentTempC({ drink: hot(92), cupC: 62 })).to.equal(null);
  });
});
