import { expect } from 'chai';
import { brew, brewCurve, type BrewInput } from '../../src/brew/brew.ts';
import { USUAL_MODEL, type BrewModel } from '../../src/brew/model.ts';
import { brewAmounts, solveBrew, type BrewSetting } from '../../src/brew/solve.ts';
import { constantTemperature } from '../../src/brew/temperature.ts';
import { hoursToStrength } from '../../src/brew/timeTo.ts';
import { expectNear } from '../near.ts';

const HOUR = 3600;
const history = constantTemperature([{ durationS: 48 * HOUR, tempC: 4 }]);
const STEEP: BrewInput = {
  doseG: 1000,
  waterG: 5000,
  grind: 'coarse',
  wetting: 'stages',
  history,
  steepS: 14 * HOUR,
  agitationS: [],
  filtration: { method: 'drain', rinseG: 0 },
};
/** A hundredth of the water goes as vapour. */
const LOSSY: BrewModel = { ...USUAL_MODEL, lossFrac: 0.01 };

describe('water that goes without coffee', () => {
  it('is missing from the brew, and takes no coffee along (by hand: 50 g of 5 kg)', () => {
    const [whole, less] = [brew(STEEP, USUAL_MODEL), brew(STEEP, LOSSY)];
    expectNear(whole.brewG - less.brewG, 50, 1e-9);
    expectNear(less.extractionYieldFrac, whole.extractionYieldFrac, 1e-12);
    // All solids are in less water: E·D/(W − 50 + E·D).
    const solidsG = 1000 * whole.extractionYieldFrac;
    expectNear(less.strengthFrac, solidsG / (4950 + solidsG), 1e-12);
    // Caffeine comes and stays with the solids.
    expectNear(
      less.caffeineMgPerG / whole.caffeineMgPerG,
      less.strengthFrac / whole.strengthFrac,
      1e-12,
    );
  });

  it('comes in where a bag goes in wet', () => {
    expect(brew(STEEP, { ...LOSSY, lossFrac: -0.01 }).brewG).to.be.above(
      brew(STEEP, USUAL_MODEL).brewG,
    );
  });

  it('is heeded by whatever turns the computation round', () => {
    const { doseG: _, waterG: __, history: ___, ...rest } = STEEP;
    const setting: BrewSetting = { ...rest, waterC: 4, historyOf: () => history };
    const of = brewAmounts(setting, { doseG: 1000, waterG: 5000 }, LOSSY);
    expectNear(of.strengthFrac, brew(STEEP, LOSSY).strengthFrac, 1e-12);
    for (const [a, b] of [
      ['strengthFrac', 'brewMl'],
      ['doseG', 'strengthFrac'],
      ['waterG', 'brewMl'],
    ] as const) {
      const found = solveBrew(
        setting,
        [
          { key: a, value: of[a] },
          { key: b, value: of[b] },
        ],
        LOSSY,
      );
      if (found.status !== 'solved') throw new Error(found.status);
      expectNear(found.amounts.doseG, 1000, 1e-9);
      expectNear(found.amounts.waterG, 5000, 1e-9);
    }
    const [, , half] = brewCurve({ ...STEEP, horizonS: 20 * HOUR, points: 5 }, LOSSY);
    expectNear(hoursToStrength({ ...STEEP, strengthFrac: half!.strengthFrac }, LOSSY)!, 10, 1e-6);
  });
});
