import { fullIceG } from '../drink/ice.ts';
import type { Drink } from '../drink/schema.ts';
import type { ToldDrink } from './afterBrew.ts';

const STEP_ML = 10;
const ICE_C = -2;
const LIQUID_C = 4;
/** Poured where a text tells no amount of the brew (practice). */
const USUAL_CONCENTRATE_ML = 60;

/**
 * A drink of the menu as a text tells it: what is poured, by hand, into the glass that it fills.
 *
 * @returns what it changes of a drink; the line lies where the told amounts and the ice come to, so
 *   that nothing is filled up that nobody told
 */
export function drinkOf(told: ToldDrink): Pick<Drink, 'cupMl' | 'ice' | 'additions' | 'target'> {
  const concentrateMl = told.concentrateMl ?? USUAL_CONCENTRATE_ML;
  const liquidMl = told.additions.reduce((sum, one) => sum + one.volumeMl, concentrateMl);
  // Ice that fills a glass of which nobody told the size: as much again as there is liquid.
  const glassMl = told.cupMl ?? 2 * liquidMl;
  const iceG =
    told.ice === null
      ? 0
      : told.ice === 'full'
        ? fullIceG({ cupMl: glassMl, kind: 'cubes' })
        : told.ice.massG;
  const lineMl = Math.ceil((liquidMl + iceG) / STEP_ML) * STEP_ML;
  return {
    cupMl: Math.max(30, told.cupMl === null ? lineMl : Math.min(lineMl, Math.round(told.cupMl))),
    ice:
      iceG === 0
        ? null
        : {
            massG: Math.round(iceG),
            tempC: ICE_C,
            coffeeFrac: 0,
            kind: 'cubes',
            recipe: undefined,
          },
    additions: told.additions.map((one) => ({ ...one, tempC: LIQUID_C })),
    target: { concentrateMl, writtenIn: 'volume' },
  };
}
