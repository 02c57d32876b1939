import { CONSTANTS } from '../constants.ts';
import { COMPONENTS } from './components.ts';
import { coffeeOf, COMPONENT_KEYS, massG, type Composition } from './composition.ts';

/**
 * Volume as the sum of the components' own volumes.
 *
 * @param input.tempC temperature, °C, 0…110
 * @returns volume, mL; within 1 % for milk, cream and sugar solutions
 */
export function volumeMl(input: { composition: Composition; tempC: number }): number {
  let sum = 0;
  for (const key of COMPONENT_KEYS) {
    const partG = input.composition[key];
    if (partG !== 0) sum += partG / COMPONENTS[key].densityGPerMl(input.tempC);
  }
  return sum;
}

/**
 * Room that black coffee takes in a jug.
 *
 * @param input.strengthFrac coffee solids over whole mass, 0–1
 * @returns mL at the temperature of a stored brew, 4 °C
 */
export const storedCoffeeMl = (input: { massG: number; strengthFrac: number }): number =>
  volumeMl({ composition: coffeeOf(input), tempC: CONSTANTS.brewVolumeTempC.value });

/** @returns mass of so much black coffee out of a jug, g; the inverse of `storedCoffeeMl` */
export const massOfStoredG = (input: { volumeMl: number; strengthFrac: number }): number =>
  input.volumeMl / storedCoffeeMl({ massG: 1, strengthFrac: input.strengthFrac });

/** @returns density, g/mL, at a temperature of 0…110 °C; the composition must not be empty */
export function densityGPerMl(input: { composition: Composition; tempC: number }): number {
  return massG(input.composition) / volumeMl(input);
}

/** @returns heat capacity of the whole, J/K, at a temperature of 0…110 °C */
export function heatCapacityJPerK(input: { composition: Composition; tempC: number }): number {
  let sum = 0;
  for (const key of COMPONENT_KEYS) {
    const partG = input.composition[key];
    if (partG !== 0) sum += partG * COMPONENTS[key].heatJPerGK(input.tempC);
  }
  return sum;
}

/** @returns food energy of the whole, kcal, by Atwater factors */
export function energyKcal(composition: Composition): number {
  let sum = 0;
  for (const key of COMPONENT_KEYS) sum += composition[key] * COMPONENTS[key].energyKcalPerG;
  return sum;
}
