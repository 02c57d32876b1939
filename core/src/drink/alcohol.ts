import { COMPONENTS } from '../matter/components.ts';
import { volumeMl } from '../matter/properties.ts';
import { liquidAt, type Glass, type Pour } from './glass.ts';

const LABEL_C = 20;

/**
 * Alcohol by volume of a drink at a moment, the melt in it: the volume that its ethanol would take
 * by itself, over the volume of the liquid, both at 20 °C. Mixing shrinks by up to 3.5 %, which
 * this leaves out, so that it reads a little low for a bare spirit and is right within 1 % in a cup.
 *
 * @param input.minutes after pouring, 0 or more
 * @returns fraction, 0–1
 */
export function alcoholByVolumeFrac(input: { glass: Glass; mixed: Pour; minutes: number }): number {
  const inIce = input.glass.ice?.recipe?.per100G.ethanolG ?? 0;
  if (input.mixed.composition.ethanolG === 0 && inIce === 0) return 0;
  const composition = liquidAt(input);
  const ethanolMl = composition.ethanolG / COMPONENTS.ethanolG.densityGPerMl();
  return ethanolMl / volumeMl({ composition, tempC: LABEL_C });
}
