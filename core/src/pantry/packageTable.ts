import { DomainError } from '../errors.ts';
import { COMPONENTS } from '../matter/components.ts';
import { massG, NOTHING, scaled, type Composition } from '../matter/composition.ts';
import { volumeMl } from '../matter/properties.ts';

/** What the table on a package is for. */
export const PACKAGE_BASES = ['100 mL', '100 g'] as const;

/** The table on a package, in grams per 100 mL or 100 g as it is printed. */
export interface PackageTable {
  readonly per: (typeof PACKAGE_BASES)[number];
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
 * @throws {DomainError} out_of_range where more sugar than carbohydrate, or more than fits, is stated
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

/**
 * The table that a package with a composition would carry, per 100 g: what compositionOfPackage
 * makes the same composition of, as long as no coffee is in it, which a table does not tell.
 */
export function packageOfComposition(composition: Composition): PackageTable {
  const per100G = scaled({ composition, factor: 100 / massG(composition) });
  const ethanolMl = per100G.ethanolG / COMPONENTS.ethanolG.densityGPerMl();
  return {
    per: '100 g',
    fatG: per100G.fatG,
    carbohydrateG: per100G.sugarG + per100G.carbohydrateG,
    sugarG: per100G.sugarG,
    proteinG: per100G.proteinG,
    saltG: per100G.ashG,
    alcoholFrac: ethanolMl / volumeMl({ composition: per100G, tempC: LABEL_C }),
  };
}

function filledTo100Ml(dry: Composition): Composition {
  const leftMl = 100 - volumeMl({ composition: dry, tempC: LABEL_C });
  return { ...dry, waterG: leftMl * COMPONENTS.waterG.densityGPerMl(LABEL_C) };
}

// Alcohol is stated by volume even beside a table per 100 g: its mass follows from the density, which
// follows from the mass. A few rounds settle it.
function filledTo100G(dry: Composition, alcoholFrac: number): Composition {
  let whole = { ...dry, waterG: 100 - massG(dry) };
  for (let round = 0; alcoholFrac > 0 && round < 30; round++) {
    const wholeMl = volumeMl({ composition: whole, tempC: LABEL_C });
    const ethanolG = alcoholFrac * wholeMl * COMPONENTS.ethanolG.densityGPerMl();
    whole = { ...dry, ethanolG, waterG: 100 - massG(dry) - ethanolG };
  }
  return whole;
}
