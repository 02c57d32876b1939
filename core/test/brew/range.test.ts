import { expect } from 'chai';
import { brew, type BrewInput } from '../../src/brew/brew.ts';
import { USUAL_MODEL } from '../../src/brew/model.ts';
import { brewRange } from '../../src/brew/range.ts';
import { constantTemperature } from '../../src/brew/temperature.ts';
import { expectNear } from '../near.ts';

const HOUR = 3600;

const plain = (over: Partial<BrewInput> = {}): BrewInput => ({
  doseG: 1000,
  waterG: 5000,
  grind: 'coarse',
  wetting: 'stages',
  history: constantTemperature([{ durationS: 48 * HOUR, tempC: 4 }]),
  steepS: 14 * HOUR,
  agitationS: [],
  filtration: { method: 'drain', rinseG: 0 },
  ...over,
});

describe('brewRange', () => {
  it('holds the outcome, and is wider where the coffee was scooped', () => {
    const input = plain();
    const { strengthFrac: c, brewMl } = brew(input, USUAL_MODEL);
    const weighed = brewRange(input, USUAL_MODEL);
    const scooped = brewRange(input, USUAL_MODEL, {
      ofScoop: (factor) => ({ ...input, doseG: input.doseG * factor }),
    });
    expect(c).to.be.within(weighed.strengthFrac.low, weighed.strengthFrac.high);
    expect(brewMl).to.be.within(weighed.brewMl.low, weighed.brewMl.high);
    expect(scooped.strengthFrac.high).to.be.above(weighed.strengthFrac.high);
    expect(scooped.strengthFrac.low).to.be.below(weighed.strengthFrac.low);
  });

  it('spreads the brew by what the grounds keep: ±0.2 g/g at 95 % on 1 kg is ±168 g at 90 %', () => {
    const { brewMl } = brewRange(plain(), USUAL_MODEL);
    expectNear((brewMl.high - brewMl.low) / 2, 168 / 1.0125, 0.03);
  });
});
