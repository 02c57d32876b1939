import { waterViscosityMPaS } from '../../src/matter/waterViscosity.ts';
import { expectNear } from '../near.ts';

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
