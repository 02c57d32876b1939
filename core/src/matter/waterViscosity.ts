import { requireWithin } from '../errors.ts';

const AT_20_MPA_S = 1.002;

/**
 * Dynamic viscosity of water at one atmosphere.
 *
 * @param tempC temperature, °C, −8…150
 * @returns viscosity, mPa·s
 * @throws {DomainError} not_finite, out_of_range
 * @see Kestin, Sokolov and Wakeham 1978, J. Phys. Chem. Ref. Data 7, 941, eq. 15
 * @example waterViscosityMPaS(25) // 0.890
 */
export function waterViscosityMPaS(tempC: number): number {
  requireWithin({ name: 'tempC', value: tempC, min: -8, max: 150 });
  const x = 20 - tempC;
  const exponent = (x / (tempC + 96)) * (1.2378 + x * (-1.303e-3 + x * (3.06e-6 + x * 2.55e-8)));
  return AT_20_MPA_S * 10 ** exponent;
}
