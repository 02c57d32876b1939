import { expect } from 'chai';
import fc from 'fast-check';
import { brew, brewCurve, type BrewInput } from '../../src/brew/brew.ts';
import { modelOf, USUAL_MODEL } from '../../src/brew/model.ts';
import { FILTRATION_METHODS } from '../../src/brew/filtration.ts';
import { constantTemperature } from '../../src/brew/temperature.ts';
import { WETTING_NAMES } from '../../src/brew/wetting.ts';
import { GRIND_NAMES } from '../../src/coffee/grinds.ts';
import { DomainError } from '../../src/errors.ts';
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

const inputs: fc.Arbitrary<BrewInput> = fc
  .record({
    doseG: fc.double({ min: 20, max: 5000, noNaN: true }),
    ratio: fc.double({ min: 0.6, max: 18, noNaN: true }),
    grind: fc.constantFrom(...GRIND_NAMES),
    wetting: fc.constantFrom(...WETTING_NAMES),
    method: fc.constantFrom(...FILTRATION_METHODS),
    rinsePerDose: fc.double({ min: 0, max: 3, noNaN: true }),
    hours: fc.double({ min: 0.5, max: 40, noNaN: true }),
    tempC: fc.double({ min: 1, max: 35, noNaN: true }),
  })
  .map(({ doseG, ratio, grind, wetting, method, rinsePerDose, hours, tempC }) =>
    plain({
      doseG,
      waterG: doseG * ratio,
      grind,
      wetting,
      history: constantTemperature([{ durationS: hours * HOUR, tempC }]),
      steepS: hours * HOUR,
      filtration: { method, rinseG: rinsePerDose * doseG },
    }),
  );

describe('brew', () => {
  it('conserves mass: what goes in is brew, what the bed keeps, and dry grounds', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const { brewG, retainedG, extractionYieldFrac } = brew(input, USUAL_MODEL);
        const dryG = input.doseG * (1 - extractionYieldFrac);
        expectNear(
          brewG + retainedG + dryG,
          input.doseG + input.waterG + input.filtration.rinseG,
          1e-12,
        );
      }),
    );
  });

  it('leaves every strength when all masses double', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const doubled = brew(
          {
            ...input,
            doseG: 2 * input.doseG,
            waterG: 2 * input.waterG,
            filtration: { ...input.filtration, rinseG: 2 * input.filtration.rinseG },
          },
          USUAL_MODEL,
        );
        const once = brew(input, USUAL_MODEL);
        expectNear(doubled.strengthFrac, once.strengthFrac, 1e-12);
        expectNear(doubled.brewMl, 2 * once.brewMl, 1e-12);
        expectNear(doubled.caffeineMgPerG, once.caffeineMgPerG, 1e-12);
      }),
      { numRuns: 40 },
    );
  });

  it('gives the worked example: 1 kg coarse, 5 kg water, 14 h at 4 °C', () => {
    // By hand: S·R/(R + 0.5) = 0.215·5/5.5 = 0.19545; 88.0 % is out; 0.1720 of 1 kg is 172 g in
    // 5172 g, 3.325 %; 5172 − 2000 = 3172 g drains.
    const outcome = brew(plain(), USUAL_MODEL);
    expectNear(outcome.extractionYieldFrac, 0.172, 2e-3);
    expectNear(outcome.strengthFrac, 0.03325, 2e-3);
    expectNear(outcome.brewG, 3172, 1e-3);
    expect(outcome.strengthName).to.equal('concentrate');
  });

  it('gives about 1 g of caffeine a litre at 1:10 (Fuller and Rao 2017, from memory)', () => {
    const outcome = brew(
      plain({
        waterG: 10_000,
        history: constantTemperature([{ durationS: 1, tempC: 22 }]),
        steepS: 24 * HOUR,
      }),
      USUAL_MODEL,
    );
    expect(outcome.caffeineMgPerG).to.be.within(0.9, 1.15);
  });

  it('draws a curve that starts at the free share and ends at the outcome', () => {
    const input = plain();
    const curve = brewCurve({ ...input, horizonS: input.steepS, points: 121 }, USUAL_MODEL);
    expect(curve).to.have.length(121);
    expectNear(curve.at(-1)!.strengthFrac, brew(input, USUAL_MODEL).strengthFrac, 1e-12);
    expectNear(curve[0]!.extractionYieldFrac, 0.13 * 0.99 * ((0.215 * 5) / 5.5), 1e-9);
    for (let i = 1; i < curve.length; i++)
      expect(curve[i]!.extractionYieldFrac).to.be.at.least(curve[i - 1]!.extractionYieldFrac);
  });

  for (const bad of [
    { doseG: 0 },
    { doseG: -5 },
    { doseG: Number.NaN },
    { waterG: 1 },
    { steepS: -1 },
  ])
    it(`refuses ${JSON.stringify(bad)}`, () => {
      expect(() => brew(plain(bad), USUAL_MODEL)).to.throw(DomainError);
    });

  it('refuses a coffee that dissolves twice over', () => {
    const model = modelOf({ solubleFrac: 2, robustaFrac: 0, decafFrac: 0 });
    expect(() => brew(plain(), model)).to.throw(DomainError);
  });
});
