import { expect } from 'chai';
import {
  averageReadings,
  brixAt20,
  brixOfIndex,
  readingWarnings,
  strengthOfBrix,
} from '../../src/instruments/brix.ts';
import { calibrated, calibrationOf } from '../../src/instruments/calibrated.ts';
import { expectNear } from '../near.ts';

/** Refractive index of sucrose solutions at 20 °C: NBS Circular 440, table 92 (memory). */
const NBS_440: readonly [brix: number, index20: number][] = [
  [0, 1.33299],
  [5, 1.34026],
  [10, 1.34782],
  [15, 1.35568],
  [20, 1.36384],
  [30, 1.38115],
  [40, 1.39986],
  [50, 1.42009],
  [60, 1.44193],
  [70, 1.46546],
  [80, 1.49071],
];

describe('degrees Brix', () => {
  for (const [brix, index20] of NBS_440)
    it(`an index of ${index20} is ${brix} °Bx, as NBS Circular 440 says`, () => {
      // The table's last digit is 1e-5, which is 0.007 °Bx; the fit states 0.03.
      expect(brixOfIndex(index20)).to.be.closeTo(brix, 0.03);
    });

  it('refuses what no solution has', () => {
    for (const index20 of [1, 1.32, 1.6, NaN]) expect(() => brixOfIndex(index20)).to.throw();
  });

  it('a warm drop reads too low, and is put right', () => {
    // ICUMSA tables: about +0.7 °Bx from 20 to 30 °C for thin solutions (memory).
    expectNear(brixAt20({ brix: 4, sampleC: 30 }), 4.7, 1e-9);
    expect(brixAt20({ brix: 4, sampleC: null })).to.equal(4);
  });

  it('coffee strength is 0.85 of it (practice), or what a shop says', () => {
    expectNear(strengthOfBrix({ brix: 4, factor: 0.85 }), 0.034, 1e-12);
    expectNear(strengthOfBrix({ brix: 4, factor: 0.8 }), 0.032, 1e-12);
  });
});

describe('averageReadings', () => {
  it('is the mean, with its standard error', () => {
    const { strengthFrac, errorFrac, outliers } = averageReadings([0.034, 0.035, 0.036]);
    expectNear(strengthFrac, 0.035, 1e-12);
    // s = 0.001, over √3.
    expectNear(errorFrac!, 0.001 / Math.sqrt(3), 1e-9);
    expect(outliers).to.deep.equal([]);
  });
  it('names the one that is far off, and leaves it out', () => {
    const found = averageReadings([0.0341, 0.0342, 0.041, 0.034]);
    expect(found.outliers).to.deep.equal([2]);
    expectNear(found.strengthFrac, 0.0341, 1e-3);
  });
  it('of two that differ nobody knows which is off; of one there is no error', () => {
    expect(averageReadings([0.03, 0.04]).outliers).to.deep.equal([]);
    expect(averageReadings([0.03]).errorFrac).to.equal(null);
  });
});

describe('readingWarnings', () => {
  for (const [name, of, pattern] of [
    [
      'a drop of 34 °C',
      { sampleC: 34, isFiltered: true, isPlainCoffee: true },
      /34 °C: a warm drop reads too low/,
    ],
    ['an unfiltered drop', { sampleC: 21, isFiltered: false, isPlainCoffee: true }, /Fines/],
    ['milk', { sampleC: 21, isFiltered: true, isPlainCoffee: false }, /no coffee strength/],
  ] as const)
    it(name, () => expect(readingWarnings(of).join(' ')).to.match(pattern));
  it('a filtered drop of black coffee at 25 °C needs none', () => {
    expect(readingWarnings({ sampleC: 25, isFiltered: true, isPlainCoffee: true })).to.deep.equal(
      [],
    );
  });
});

describe('calibration', () => {
  const sample = {
    instrumentId: 'i',
    atMs: 0,
    massG: 990,
    tempC: 1.2,
    brix: 9.6,
    sampleC: 20,
    isSteady: true,
  };
  const stamp = { at: '2026-06-12T18:00:00.000Z', author: 'lead' };
  for (const { kind, shown, known, key } of [
    { kind: 'scale', shown: 990, known: 1000, key: 'massG' },
    { kind: 'probe', shown: 1.2, known: 0, key: 'tempC' },
    { kind: 'refractometer', shown: 9.6, known: 10, key: 'brix' },
  ] as const)
    it(`a ${kind} shows what it was held to`, () => {
      const found = calibrationOf({ kind, shown, known })!;
      expectNear(calibrated(sample, { calibration: { ...found, ...stamp } })[key]!, known, 1e-9);
    });
  it('is refused where something else is wrong', () => {
    expect(calibrationOf({ kind: 'scale', shown: 500, known: 1000 })).to.equal(null);
    expect(calibrationOf({ kind: 'scale', shown: 0, known: 1000 })).to.equal(null);
    expect(calibrationOf({ kind: 'probe', shown: 20, known: 0 })).to.equal(null);
    expect(calibrationOf({ kind: 'refractometer', shown: 0, known: 10 })).to.equal(null);
  });
  it('without one, it shows what it says', () => {
    expect(calibrated(sample, { calibration: null })).to.equal(sample);
  });
});
