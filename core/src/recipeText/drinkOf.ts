import { fullIceG } from '../drink/ice.ts';
import type { Drink } from '../drink/schema.ts';
import type { StatedDrink } from './afterBrew.ts';

/** Ice that packs into a mL of glass, g. */
const PACKED_G_PER_ML = fullIceG({ cupMl: 1, kind: 'cubes' });
const LEAST_ML = 30;
const ICE_C = -2;
const LIQUID_C = 4;
/** Poured where a text states no amount of the brew (practice). */
const USUAL_CONCENTRATE_ML = 60;

/**
 * A drink of the menu as a text states it: what is poured, by hand, into the glass that it fills.
 *
 * @returns what it changes of a drink; the line lies where the stated amounts and the ice come to, so
 *   that nothing is filled up that nobody stated
 */
export function drinkOf(
  stated: StatedDrink,
): Pick<Drink, 'cupMl' | 'ice' | 'additions' | 'target'> {
  const concentrateMl = stated.concentrateMl ?? USUAL_CONCENTRATE_ML;
  const liquidMl = stated.additions.reduce((sum, one) => sum + one.volumeMl, concentrateMl);
  // Ice that fills a glass leaves the rest of it to the liquid.
  const iceG =
    stated.ice === 'full'
      ? (liquidMl * PACKED_G_PER_ML) / (1 - PACKED_G_PER_ML)
      : (stated.ice?.massG ?? 0);
  const lineMl = Math.max(LEAST_ML, Math.round(liquidMl + iceG));
  return {
    cupMl: stated.cupMl === null ? lineMl : Math.min(lineMl, Math.round(stated.cupMl)),
    ice:
      iceG === 0
        ? null
        : {
            massG: Math.floor(iceG),
            tempC: ICE_C,
            coffeeFrac: 0,
            kind: 'cubes',
            recipe: undefined,
          },
    additions: stated.additions.map((one) => ({ ...one, tempC: LIQUID_C })),
    target: { concentrateMl, writtenIn: 'volume' },
  };
}
