import { expect } from 'chai';
import fc from 'fast-check';
import { brew, brewCurve, type BrewInput } from '../../src/brew/brew.ts';
import { modelOf, USUAL_MODEL } from '../../src/brew/model.ts';
import { brewRange } from '../../src/brew/range.ts';
import { FILTRATION_METHODS, filterSlurry } from '../../src/brew/filtration.ts';
import {
  percolationYieldFrac,
  immersionYieldFrac,
  strengthFrac,
  yieldAtRatioFrac,
} from '../../src/brew/strength.ts';
import { strengthName } from '../../src/brew/strengthName.ts';
import { constantTemperature } from '../../src/brew/temperature.ts';
import { slurryMl, vesselFit, waterToLineG } from '../../src/brew/vessel.ts';
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

describe('strength and yield', () => {
  // SCA brewing standard: 55 g/L gives 1.15–1.45 % at 18–22 % yield, on what dripped through.
  for (const [yieldFrac, low, high] of [
    [0.18, 0.0105, 0.0118],
    [0.22, 0.0125, 0.0145],
  ] as const)
    it(`agrees with the brewing standard’s chart at ${100 * yieldFrac} %`, () => {
      const brewG = 1000 - 2 * 55;
      expectNear(
        percolationYieldFrac({ doseG: 55, brewG, strengthFrac: (yieldFrac * 55) / brewG }),
        yieldFrac,
        1e-12,
      );
      expect(strengthFrac({ doseG: 55, waterG: 1000, yieldFrac })).to.be.within(low - 0.001, high);
    });

  it('turns a reading of an immersion back into its yield', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.3, noNaN: true }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (yieldFrac, ratio) => {
          const amounts = { doseG: 500, waterG: 500 * ratio };
          const c = strengthFrac({ ...amounts, yieldFrac });
          expectNear(immersionYieldFrac({ ...amounts, strengthFrac: c }), yieldFrac, 1e-12);
        },
      ),
    );
  });

  it('gives half of the soluble share at a ratio of one half, and nearly all when thin', () => {
    expectNear(yieldAtRatioFrac({ ratio: 0.5, equilibriumYieldFrac: 0.215 }), 0.1075, 1e-12);
    expectNear(yieldAtRatioFrac({ ratio: 1000, equilibriumYieldFrac: 0.215 }), 0.215, 1e-3);
  });
});

describe('strengthName', () => {
  const rows: [strengthFrac: number, name: string][] = [
    [0, 'thin'],
    [0.0099, 'thin'],
    [0.01, 'cup strength'],
    [0.015, 'cup strength'],
    [0.0151, 'ready to drink'],
    [0.023, 'ready to drink'],
    [0.03, 'strong'],
    [0.0345, 'concentrate'],
    [0.055, 'concentrate'],
    [0.06, 'essence'],
  ];
  for (const [frac, name] of rows)
    it(`calls ${(100 * frac).toFixed(2)} % ${name}`, () => {
      expect(strengthName(frac)).to.equal(name);
    });
});

describe('filterSlurry', () => {
  it('rinses by the handbook’s balance: as much stays behind, at the mixed strength', () => {
    const [doseG, c, k, rinseG] = [1000, 0.035, 2, 500];
    const parted = filterSlurry({
      doseG,
      liquidG: 5170,
      strengthFrac: c,
      retainedGPerG: k,
      rinseG,
    });
    const drained = 5170 - k * doseG;
    expectNear(parted.brewG, drained + rinseG, 1e-12);
    const solids = c * drained + (rinseG * c * k * doseG) / (k * doseG + rinseG);
    expectNear(parted.strengthFrac, solids / parted.brewG, 1e-12);
  });

  it('drains nothing from a bed that drinks it all, instead of a negative volume', () => {
    const parted = filterSlurry({
      doseG: 1000,
      liquidG: 1500,
      strengthFrac: 0.1,
      retainedGPerG: 2,
      rinseG: 0,
    });
    expect(parted).to.deep.equal({ brewG: 0, strengthFrac: 0.1, retainedG: 1500 });
  });
});

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

describe('vessel', () => {
  it('fills to a line and comes back to it', () => {
    const waterG = waterToLineG({ lineMl: 5190, doseG: 900, tempC: 4 });
    expectNear(slurryMl({ doseG: 900, waterG, tempC: 4 }), 5190, 1e-12);
  });

  for (const [slurry, shaken, fit] of [
    [5000, false, 'fits'],
    [5500, false, 'tight'],
    [5000, true, 'tight'],
    [6200, false, 'overflows'],
  ] as const)
    it(`${slurry} mL in a 6 L jar${shaken ? ', shaken,' : ''} ${fit}`, () => {
      expect(vesselFit({ slurryMl: slurry, vesselMl: 6000, shaken }).fit).to.equal(fit);
    });
});
