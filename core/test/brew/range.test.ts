import { expect } from 'chai';
import { brew, type BrewInput } from '../../src/brew/brew.ts';
import { USUAL_MODEL } from '../../src/brew/model.ts';
import { brewRange } from '../../src/brew/range.ts';
import { NO_DEVIATION } from '../../src/brew/release.ts';
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

  // By hand: ±0.2 g/g at 95 % on 1 kg is ±168 g at 90 %, and ±1 % of 5 kg of water ±42 g: ±173 g together.
  it('spreads the brew by what the grounds keep and by what goes of the water', () => {
    const { brewMl } = brewRange(plain(), USUAL_MODEL);
    expectNear((brewMl.high - brewMl.low) / 2, 173 / 1.0125, 0.03);
  });
});

describe('what the range counts', () => {
  const width = ({ low, high }: { low: number; high: number }) => high - low;

  it('holds a neighbouring grind where only a word was told (practice)', () => {
    const short = plain({ steepS: 2 * HOUR });
    const { strengthFrac } = brewRange(short, USUAL_MODEL, { grindBy: 'word' });
    for (const grind of ['medium-coarse', 'extra-coarse'] as const)
      expect(brew(plain({ steepS: 2 * HOUR, grind }), USUAL_MODEL).strengthFrac).to.be.within(
        strengthFrac.low,
        strengthFrac.high,
      );
    expect(width(strengthFrac)).to.be.above(width(brewRange(short, USUAL_MODEL).strengthFrac));
  });

  it('gives caffeine the range of its species: arabica 1.0 to 1.5 % of mass (memory)', () => {
    const input = plain();
    const { caffeineMgPerG } = brewRange(input, USUAL_MODEL);
    const { caffeineMgPerG: middle } = brew(input, USUAL_MODEL);
    // 90 % of a 95 % range of 0.83 to 1.25 times.
    expect(caffeineMgPerG.low / middle).to.be.within(0.78, 0.88);
    expect(caffeineMgPerG.high / middle).to.be.within(1.12, 1.24);
  });

  it('knows that a place is uncertain by 1.5 °C: as much as two places 3 °C apart differ', () => {
    const at = (tempC: number) =>
      brew(
        plain({
          steepS: 4 * HOUR,
          history: constantTemperature([{ durationS: 48 * HOUR, tempC }]),
        }),
        USUAL_MODEL,
      ).extractionYieldFrac;
    const off = (tempC: number) =>
      brew(
        plain({
          steepS: 4 * HOUR,
          history: constantTemperature([{ durationS: 48 * HOUR, tempC: 10 }]),
          deviation: { ...NO_DEVIATION, tempC },
        }),
        USUAL_MODEL,
      ).extractionYieldFrac;
    expectNear(off(1.5) - off(-1.5), at(11.5) - at(8.5), 0.02);
  });
});
