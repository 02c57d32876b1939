import { expect } from 'chai';
import { brew } from '../../src/brew/brew.ts';
import { USUAL_MODEL as model } from '../../src/brew/model.ts';
import { hoursToRelease, hoursToStrength } from '../../src/brew/timeTo.ts';
import { createRelease } from '../../src/brew/release.ts';
import { constantTemperature } from '../../src/brew/temperature.ts';

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
