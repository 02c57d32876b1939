import { expect } from 'chai';
import { DomainError } from '../../src/errors.ts';
import { waterDensityGPerMl } from '../../src/matter/waterDensity.ts';

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
