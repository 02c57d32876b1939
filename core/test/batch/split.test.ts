import { expect } from 'chai';
import { brew } from '../../src/brew/brew.ts';
import { USUAL_MODEL as model } from '../../src/brew/model.ts';
import { roundedToMeasures, roundedToBench, splitBatch } from '../../src/batch/split.ts';
import { hoursToRelease, hoursToStrength } from '../../src/brew/timeTo.ts';
import { createRelease } from '../../src/brew/release.ts';
import { constantTemperature } from '../../src/brew/temperature.ts';
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

describe('hoursToStrength', () => {
  const brewInput = {
    doseG: 900,
    waterG: 4500,
    grind: 'coarse' as const,
    wetting: 'stages' as const,
    agitationS: [],
    history: constantTemperature([{ durationS: 3600, tempC: 4 }]),
  };

  it('is when the steep has come to the strength', () => {
    const hours = hoursToStrength({ ...brewInput, strengthFrac: 0.03 }, model)!;
    const outcome = brew(
      {
        ...brewInput,
        steepS: hours * 3600,
        filtration: { method: 'drain', rinseG: 0 },
      },
      model,
    );
    expect(outcome.strengthFrac).to.be.closeTo(0.03, 1e-8);
  });

  it('is never for a strength that the ratio cannot give', () => {
    expect(hoursToStrength({ ...brewInput, strengthFrac: 0.06 }, model)).to.equal(null);
  });
});

describe('hoursToRelease', () => {
  const steep = {
    grind: 'coarse' as const,
    wetting: 'stages' as const,
    agitationS: [],
    history: constantTemperature([{ durationS: 3600, tempC: 22 }]),
  };

  it('is when the release has come to the share: 93 % in about 12 h on the counter (the model’s anchor)', () => {
    const hours = hoursToRelease({ ...steep, releasedFrac: 0.93 }, model)!;
    expect(hours).to.be.within(11.5, 12.5);
    expect(
      createRelease({ ...steep, diffusivity22M2PerS: model.diffusivity22M2PerS })(hours * 3600),
    ).to.be.closeTo(0.93, 1e-7);
  });

  it('is nothing for what is free at once, and never for more than there is', () => {
    expect(hoursToRelease({ ...steep, releasedFrac: 0.1 }, model)).to.equal(0);
    const cold = { ...steep, history: constantTemperature([{ durationS: 1, tempC: 0 }]) };
    expect(hoursToRelease({ ...cold, releasedFrac: 0.999999 }, model)).to.equal(null);
  });
});
