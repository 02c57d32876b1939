import { expect } from 'chai';
import { alcoholByVolumeFrac } from '../../src/drink/alcohol.ts';
import { solveDrink } from '../../src/drink/solve.ts';
import { NOTHING } from '../../src/matter/composition.ts';
import { densityGPerMl } from '../../src/matter/properties.ts';
import { expectNear } from '../near.ts';
import { added, lidoDrink } from './drinks.ts';

describe('alcohol in the cup', () => {
  // OIML alcoholometric tables, 20 °C (memory): percent by volume, by mass, and density. Ethanol and
  // water shrink when they mix, which additive volumes leave out: the tolerance is that shrinking.
  const table: [volPct: number, massPct: number, gPerMl: number, within: number][] = [
    [10, 8.01, 0.9848, 0.01],
    [20, 16.21, 0.9736, 0.02],
    [40, 33.3, 0.948, 0.035],
  ];
  for (const [volPct, massPct, gPerMl, within] of table)
    it(`${volPct} % vol is ${massPct} % by mass and ${gPerMl} g/mL, within ${(100 * within).toFixed(1)} %`, () => {
      const composition = { ...NOTHING, ethanolG: massPct, waterG: 100 - massPct };
      expectNear(densityGPerMl({ composition, tempC: 20 }), gPerMl, within);
      const glass = lidoDrink({}, { ice: null }).glass;
      const frac = alcoholByVolumeFrac({ glass, mixed: { composition, tempC: 20 }, minutes: 0 });
      expectNear(frac, volPct / 100, within);
    });

  it('40 mL of a 40 % spirit in a 200 mL drink without ice is 8 % vol', () => {
    const drink = lidoDrink({ additions: [added('spirit-40', 40, 20)] }, { ice: null, cupMl: 200 });
    expectNear(solveDrink(drink).alcoholFrac, 0.08, 0.035);
  });

  it('falls while the ice melts', () => {
    const drink = lidoDrink({ additions: [added('spirit-40', 40, 20)] });
    const late = { ...drink, target: { strengthFrac: 0.012, atMinutes: 20 } };
    const early = { ...drink, target: { strengthFrac: 0.012, atMinutes: 0 } };
    expect(solveDrink(late).alcoholFrac).to.be.below(solveDrink(early).alcoholFrac);
  });
});
