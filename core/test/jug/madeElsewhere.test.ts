import { expect } from 'chai';
import { planInput } from '../../src/batch/index.ts';
import { brew, modelOf } from '../../src/brew/index.ts';
import { USUAL_COFFEES } from '../../src/coffee/index.ts';
import { madeElsewhere, newJugRequest } from '../../src/jug/index.ts';
import { coffeeOf, densityGPerMl, waterDensityGPerMl } from '../../src/matter/index.ts';
import { expectNear } from '../near.ts';

const rooms = { roomC: 22, fridgeC: 4 };

describe('a jug that was made elsewhere', () => {
  it('is as strong as it was read, without a range', () => {
    expect(madeElsewhere({ strengthFrac: 0.041, ...rooms })).to.include({
      strengthFrac: 0.041,
      readBy: 'refractometer',
      range: null,
    });
  });

  it('by the ratio and hours that it was made with, is what a batch of those comes to', () => {
    const estimate = { ratio: 5, hours: 18, place: 'counter', grind: 'coarse' } as const;
    const found = madeElsewhere({ estimate, ...rooms });
    const model = modelOf({ solubleFrac: 0.215, robustaFrac: 0, decafFrac: 0 });
    const batch = brew(
      planInput({
        coffeeId: 'c',
        vesselId: 'v',
        grind: 'coarse',
        doseG: 1000,
        waterG: 5000,
        waterC: 22,
        wetting: 'stages',
        steep: [{ place: 'counter', tempC: 22, hours: 18 }],
        agitationHours: [],
        bed: 'loose',
        filtration: { method: 'drain', rinseG: 0 },
      }),
      model,
    );
    // A plan’s slurry is integrated in time, this one’s is constant.
    expectNear(found.strengthFrac, batch.strengthFrac, 1e-4);
    expectNear(found.caffeineMgPerG, batch.caffeineMgPerG, 1e-4);
    expect(found.range!.low).to.be.below(found.strengthFrac);
    expect(found.range!.high).to.be.above(found.strengthFrac);
  });

  it('is so strong that one to one it is a cup of 1.15 to 1.45 % (SCA brewing standard)', () => {
    const parts = { concentrate: 1, fill: 1 };
    const { range, readBy } = madeElsewhere({ estimate: { parts }, ...rooms });
    expect(readBy).to.equal('taste');
    // By hand, in amounts: one mL of it and one mL of water, both at 4 °C.
    for (const [strengthFrac, cupFrac] of [
      [range!.low, 0.0115],
      [range!.high, 0.0145],
    ] as const) {
      const of = { composition: coffeeOf({ massG: 1, strengthFrac }), tempC: 4 };
      const coffeeG = densityGPerMl(of);
      expectNear((coffeeG * strengthFrac) / (coffeeG + waterDensityGPerMl(4)), cupFrac, 1e-7);
    }
  });

  it('is asked for its strength once, and its amount once', () => {
    const request = { id: 'j', label: 'J', madeAt: '2026-06-12T06:00:00Z' };
    const says = (more: object) => newJugRequest.safeParse({ ...request, ...more }).success;
    expect(says({ onHandMl: 900, strengthFrac: 0.03 })).to.equal(true);
    expect(says({ onHandG: 900, onHandMl: 900, strengthFrac: 0.03 })).to.equal(false);
    expect(says({ strengthFrac: 0.03 })).to.equal(false);
    expect(says({ onHandG: 900 })).to.equal(false);
    const estimate = { ratio: 5, hours: 12 };
    expect(says({ onHandG: 900, estimate })).to.equal(true);
    expect(says({ onHandG: 900, estimate, strengthFrac: 0.03 })).to.equal(false);
  });
});

describe('the usual coffees', () => {
  it('are one for each roast, the middle one as the model takes it', () => {
    expect(USUAL_COFFEES.map(({ roast }) => roast)).to.deep.equal(['light', 'medium', 'dark']);
    expect(USUAL_COFFEES.map(({ solubleFrac }) => Number(solubleFrac.toFixed(3)))).to.deep.equal([
      0.205, 0.215, 0.225,
    ]);
  });
});
