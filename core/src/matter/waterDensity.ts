import { requireWithin } from '../errors.ts';

// Kell 1975, J. Chem. Eng. Data 20, 97–105: numerator by rising power of °C, and the denominator's slope.
const NUMERATOR = [
  999.83952, 16.945176, -7.9870401e-3, -46.170461e-6, 105.56302e-9, -280.54253e-12,
] as const;
const DENOMINATOR_SLOPE = 16.87985e-3;

/**
 * Density of air-free water at one atmosphere.
 *
 * @param tempC temperature, °C, 0…110
 * @returns density, g/mL
 * @throws {DomainError} not_finite, out_of_range
 * @see Kell 1975, eq. 16
 * @example waterDensityGPerMl(20) // 0.99820
 */
export function waterDensityGPerMl(tempC: number): number {
  requireWithin({ name: 'tempC', value: tempC, min: 0, max: 110 });
  const [a, b, c, d, e, f] = NUMERATOR;
  const kgPerM3 =
    (a + tempC * (b + tempC * (c + tempC * (d + tempC * (e + tempC * f))))) /
    (1 + DENOMINATOR_SLOPE * tempC);
  return kgPerM3 / 1000;
}
