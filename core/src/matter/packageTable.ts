import { DomainError } from '../errors.ts';
import { COMPONENTS } from './components.ts';
import { COMPONENT_KEYS, massG, NOTHING, scaled, type Composition } from './composition.ts';

/** The table on a package, in grams per 100 mL or 100 g as it is printed. */
export interface PackageTable {
  readonly per: '100 mL' | '100 g';
  readonly fatG: number;
  /** All carbohydrate, sugars included, as labels count it. */
  readonly carbohydrateG: number;
  readonly sugarG: number;
  readonly proteinG: number;
  readonly saltG: number;
  /** Alcohol by volume, 0–1. */
  readonly alcoholFrac: number;
}

const LABEL_C = 20;

/**
 * Composition from the nutrition table of a package. What the table does not name is water: for
 * 100 g it fills up the mass, for 100 mL it fills up the volume, each component with its own density.
 *
 * @returns grams in 100 g
 * @throws {DomainError} out_of_range where more sugar than carbohydrate, or more than fits, is told
 */
export function compositionOfPackage(table: PackageTable): Composition {
  const { per, fatG, carbohydrateG, sugarG, proteinG, saltG, alcoholFrac } = table;
  if (sugarG > carbohydrateG)
    throw new DomainError('out_of_range', { name: 'sugarG', value: sugarG, max: carbohydrateG });
  const dry: Composition = {
    ...NOTHING,
    fatG,
    sugarG,
    carbohydrateG: carbohydrateG - sugarG,
    proteinG,
    ashG: saltG,
    ethanolG: per === '100 mL' ? 100 * alcoholFrac * COMPONENTS.ethanolG.densityGPerMl() : 0,
  };
  const whole = per === '100 mL' ? filledTo100Ml(dry) : filledTo100G(dry, alcoholFrac);
  if (whole.waterG < 0)
    throw new DomainError('out_of_range', { name: 'table', value: massG(dry), max: 100 });
  return scaled({ composition: whole, factor: 100 / massG(whole) });
}

function filledTo100Ml(dry: Composition): Composition {
  let volumeMl = 0;
  for (const key of COMPONENT_KEYS) volumeMl += dry[key] / COMPONENTS[key].densityGPerMl(LABEL_C);
  return { ...dry, waterG: (100 - volumeMl) * COMPONENTS.waterG.densityGPerMl(LABEL_C) };
}

// Alcohol is told by volume even beside a table per 100 g: its mass follows from the density, which
// follows from the mass. A few rounds settle it.
function filledTo100G(dry: Composition, alcoholFrac: number): Composition {
  let whole = { ...dry, waterG: 100 - massG(dry) };
  for (let round = 0; alcoholFrac > 0 && round < 30; round++) {
    let volumeMl = 0;
    for (const key of COMPONENT_KEYS)
      volumeMl += whole[key] / COMPONENTS[key].densityGPerMl(LABEL_C);
    const ethanolG = alcoholFrac * volumeMl * COMPONENTS.ethanolG.densityGPerMl();
    whole = { ...dry, ethanolG, waterG: 100 - massG(dry) - ethanolG };
  }
  return whole;
}
