import { expect } from 'chai';
import { roundedToMeasures, roundedToBench, splitBatch } from '../../src/batch/split.ts';
import { vesselFit, slurryMl } from '../../src/brew/vessel.ts';

const jar = { waterC: 12, brimMl: 6100, shaken: false, bagHoldsG: 1000 };

describe('splitBatch', () => {
  it('leaves a batch whole that goes in', () => {
    expect(splitBatch({ ...jar, doseG: 850, waterG: 4250 })).to.deep.equal({
      vessels: 1,
      reason: null,
      doseG: 850,
      waterG: 4250,
    });
  });

  it('splits by the vessel, and each share then fits', () => {
    const { vessels, reason, doseG, waterG } = splitBatch({ ...jar, doseG: 2000, waterG: 16_000 });
    expect({ vessels, reason }).to.deep.equal({ vessels: 4, reason: 'vessel' });
    const filled = slurryMl({ doseG, waterG, tempC: 12 });
    expect(vesselFit({ slurryMl: filled, vesselMl: 6100, shaken: false }).fit).to.equal('fits');
  });

  it('splits by the bag where the bag is the smaller', () => {
    expect(splitBatch({ ...jar, doseG: 1200, waterG: 3000 })).to.deep.include({
      vessels: 2,
      reason: 'bag',
      doseG: 600,
    });
  });
});

describe('roundedToBench', () => {
  it('rounds coffee to 5 g and water to 10 g', () => {
    expect(roundedToBench({ doseG: 907.2, waterG: 4503 })).to.deep.equal({
      doseG: 905,
      waterG: 4500,
    });
    expect(roundedToBench({ doseG: 1, waterG: 2 })).to.deep.equal({ doseG: 5, waterG: 10 });
  });
});

describe('roundedToMeasures', () => {
  const scoop = { name: 'scoop', oneG: 19.2 };

  it('rounds to whole scoops and keeps the ratio', () => {
    const measured = roundedToMeasures({ doseG: 100, waterG: 700, measure: scoop });
    expect(measured.count).to.equal(5);
    expect(measured.doseG).to.be.closeTo(96, 1e-9);
    expect(measured.waterG / measured.doseG).to.be.closeTo(7, 1e-12);
  });

  it('never rounds to nothing', () => {
    expect(roundedToMeasures({ doseG: 2, waterG: 10, measure: scoop }).count).to.equal(1);
  });
});
