import { CONSTANTS } from '../constants.ts';
import { waterViscosityMPaS } from '../matter/waterViscosity.ts';
import { celsiusToKelvin } from '../units/units.ts';

const REFERENCE_C = 22;
const REFERENCE_VISCOSITY = waterViscosityMPaS(REFERENCE_C);

/**
 * How much faster than at 22 °C the soluble matter leaves the grounds.
 *
 * @param tempC slurry temperature, °C, 0…100
 * @returns D_eff(T)/D_eff(22 °C), by Stokes–Einstein: kelvin over viscosity
 * @throws {DomainError} not_finite, out_of_range
 */
export function diffusivityFactor(tempC: number): number {
  return (
    (celsiusToKelvin(tempC) / celsiusToKelvin(REFERENCE_C)) *
    (REFERENCE_VISCOSITY / waterViscosityMPaS(tempC))
  );
}

/** @returns the apparent diffusivity of the whole bed at a temperature, m²/s */
export const diffusivityM2PerS = (tempC: number): number =>
  CONSTANTS.diffusivity22M2PerS.value * diffusivityFactor(tempC);
