import { expect } from 'chai';
import { FILTRATIONS } from '../src/brew/filtration.ts';
import { WETTINGS } from '../src/brew/wetting.ts';
import { GRINDS, WHOLE_BEAN_DENSITY_G_PER_ML } from '../src/coffee/grinds.ts';
import { CONSTANTS } from '../src/constants.ts';
import { ICE_SHAPES } from '../src/drink/ice.ts';

/**
 * The values that the trade works by and that are published, written down once more from where they
 * stand: a slip of the finger in the model's tables shows here, and in no other test as surely.
 */
describe('values of the trade, and published ones', () => {
  const values: Readonly<Record<string, readonly [value: number, unit: string]>> = {
    // Liang, Chan and Ristenpart 2021 (memory).
    maximumYieldFrac: [0.3, ''],
    partitionFrac: [0.717, ''],
    solubleFrac: [0.215, ''],
    // SCA brewing standard, middle of its range.
    cupStrengthFrac: [0.013, ''],
    // Retained, wetting, room: common practice.
    halfRatio: [0.5, ''],
    diameterSigma: [0.35, ''],
    wettingTimeS: [10_800, 's'],
    agitationWetsFrac: [0.8, ''],
    retainedSpreadGPerG: [0.2, 'g/g'],
    looseDensitySpreadFrac: [0.12, ''],
    // 95 % ranges of what a brewer does not know exactly: ours, from practice.
    diameterSpreadFrac: [0.15, ''],
    diameterStepFrac: [0.2, ''],
    wetSpreadFrac: [0.05, ''],
    placeSpreadC: [1.5, '°C'],
    // A stirred brew reaches in 4 h what a still one reaches in 6 to 8 (practice).
    agitationRenewsTimes: [3, ''],
    freezerIceC: [-18, '°C'],
    groundsDisplaceMlPerG: [0.77, 'mL/g'],
    headspaceFrac: [0.15, ''],
    shakenHeadspaceFrac: [0.3, ''],
    vesselTimeSPerLitreThird: [7200, 's'],
    // Caffeine of roasted coffee, share of mass (memory).
    arabicaCaffeineFrac: [0.012, ''],
    robustaCaffeineFrac: [0.022, ''],
    decafCaffeineFrac: [0.001, ''],
    caffeineOutFrac: [0.9, ''],
    // CRC Handbook.
    iceDensityGPerMl: [0.917, 'g/mL'],
    fusionJPerG: [333.55, 'J/g'],
    iceHeatJPerGK: [2.06, 'J/(g K)'],
    iceTransferWPerM2K: [250, 'W/(m² K)'],
    roomTransferWPerM2K: [10, 'W/(m² K)'],
    cupAreaFactor: [5.54, ''],
    targetMinutes: [4, 'min'],
    lastSipMinutes: [15, 'min'],
    siphonFillFrac: [0.8, ''],
    // FDA Food Code 3-501.14, 3-501.16, 3-501.17; EFSA 2015.
    coolingHours: [4, 'h'],
    coldHoldingC: [5, '°C'],
    keepDays: [7, 'days'],
    counterSteepHours: [12, 'h'],
    warmSteepHours: [24, 'h'],
    singleCaffeineMg: [200, 'mg'],
    // Sucrose in water (ICUMSA, memory).
    sucroseFrac20: [0.6709, ''],
    sucroseFrac5: [0.6488, ''],
  };
  for (const [key, [value, unit]] of Object.entries(values))
    it(`${key} is ${value} ${unit}`, () => {
      const constant = CONSTANTS[key as keyof typeof CONSTANTS];
      expect([constant.value, constant.unit]).to.deep.equal([value, unit]);
    });

  it('a cup as wide as high has 5.54 times the two-thirds power of its volume as surface', () => {
    // By hand: V = π/4 d³, A = π d² + π/2 d² = 1.5 π d².
    const d = Math.cbrt(4 / Math.PI);
    expect(CONSTANTS.cupAreaFactor.value).to.be.closeTo(1.5 * Math.PI * d * d, 0.005);
  });

  it('knows the ranges of what is uncertain', () => {
    const range = (key: 'solubleFrac' | 'arabicaCaffeineFrac' | 'robustaCaffeineFrac') => {
      const { low, high } = CONSTANTS[key];
      return [low, high];
    };
    expect(range('solubleFrac')).to.deep.equal([0.195, 0.235]);
    expect(range('arabicaCaffeineFrac')).to.deep.equal([0.01, 0.015]);
    expect(range('robustaCaffeineFrac')).to.deep.equal([0.016, 0.026]);
  });

  it('retains by filtration: drained 2.0, with paper 2.05, pressed 1.7, squeezed 1.4, insert 2.2 (practice)', () => {
    const retained = Object.entries(FILTRATIONS).map(([name, { retainedGPerG }]) => [
      name,
      retainedGPerG,
    ]);
    expect(Object.fromEntries(retained)).to.deep.equal({
      drain: 2,
      paper: 2.05,
      press: 1.7,
      squeeze: 1.4,
      insert: 2.2,
      'on-grounds': 2,
    });
  });

  it('wets by its way: poured 0.80, stirred 0.95, in stages 0.99 (practice)', () => {
    const wet = Object.entries(WETTINGS).map(([name, { wetFrac }]) => [name, wetFrac]);
    expect(Object.fromEntries(wet)).to.deep.equal({ pour: 0.8, stir: 0.95, stages: 0.99 });
  });

  it('grinds: median diameter, share free at once, loose density (practice)', () => {
    const grinds = Object.entries(GRINDS).map(
      ([name, { diameterUm, freeFrac, looseDensityGPerMl }]) => [
        name,
        [diameterUm, freeFrac, looseDensityGPerMl],
      ],
    );
    expect(Object.fromEntries(grinds)).to.deep.equal({
      'extra-coarse': [1400, 0.1, 0.3],
      coarse: [1150, 0.13, 0.32],
      'medium-coarse': [950, 0.16, 0.33],
      medium: [800, 0.2, 0.35],
      fine: [500, 0.28, 0.4],
    });
    expect(WHOLE_BEAN_DENSITY_G_PER_ML).to.equal(0.36);
  });

  it('packs ice: cubes 0.55 of the glass, crushed 0.62, pieces of 25 and 8 mm (practice)', () => {
    expect([ICE_SHAPES.cubes.fillFrac, ICE_SHAPES.cubes.edgeM]).to.deep.equal([0.55, 0.025]);
    expect([ICE_SHAPES.crushed.fillFrac, ICE_SHAPES.crushed.edgeM]).to.deep.equal([0.62, 0.008]);
    expect([ICE_SHAPES.large.fillFrac, ICE_SHAPES.large.edgeM]).to.deep.equal([0.45, 0.05]);
  });
});
