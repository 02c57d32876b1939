import { expect } from 'chai';
import { DomainError } from '../../src/errors.ts';
import { waterDensityGPerMl } from '../../src/matter/waterDensity.ts';
import { waterViscosityMPaS } from '../../src/matter/waterViscosity.ts';
import { expectNear } from '../near.ts';

describe('waterDensityGPerMl', () => {
  // Kell 1975; CRC Handbook of Chemistry and Physics. Tolerance: the table's last digit.
  const rows: [tempC: number, expected: number][] = [
    [0, 0.99984],
    [4, 0.99997],
    [20, 0.9982],
    [25, 0.99704],
    [100, 0.95836],
  ];
  for (const [tempC, expected] of rows)
    it(`is ${expected} g/mL at ${tempC} °C`, () => {
      expect(waterDensityGPerMl(tempC)).to.be.closeTo(expected, 1e-5);
    });

  for (const tempC of [-1, 111, Number.NaN])
    it(`refuses ${tempC} °C`, () => {
      expect(() => waterDensityGPerMl(tempC)).to.throw(DomainError);
    });
});

describe('waterViscosityMPaS', () => {
  // CRC Handbook of Chemistry and Physics. The correlation is within 0.25 % of it.
  const rows: [tempC: number, expected: number][] = [
    [0, 1.792],
    [10, 1.307],
    [20, 1.002],
    [25, 0.89],
    [30, 0.797],
    [60, 0.466],
  ];
  for (const [tempC, expected] of rows)
    it(`is ${expected} mPa·s at ${tempC} °C`, () => {
      expectNear(waterViscosityMPaS(tempC), expected, 2.5e-3);
    });
});
