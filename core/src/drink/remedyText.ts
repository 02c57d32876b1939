import type { Remedy } from './remedy.ts';
import { percentText } from '../units/percent.ts';

/** How amounts are written at the bar. */
export interface AmountTexts {
  readonly mass: (massG: number) => string;
  readonly volume: (volumeMl: number) => string;
  readonly temp: (tempC: number) => string;
}

/** @returns one remedy, as what to do */
export function remedyText(remedy: Remedy, texts: AmountTexts): string {
  switch (remedy.remedy) {
    case 'less_ice':
      return remedy.iceG === 0 ? 'no ice at all' : `at most ${texts.mass(remedy.iceG)} of ice`;
    case 'larger_ice':
      return 'one large piece of ice instead';
    case 'freezer_ice':
      return `ice at ${texts.temp(remedy.tempC)}, dry from the freezer`;
    case 'coffee_ice':
      return 'coffee cubes of this jug';
    case 'water_ice':
      return 'water ice instead of coffee cubes';
    case 'chill':
      return `everything chilled to ${texts.temp(remedy.tempC)} before the ice`;
    case 'stronger_batch':
      return `a jug of at least ${percentText(remedy.strengthFrac)}`;
    case 'less_added':
      return remedy.keepFrac === 0
        ? 'nothing added'
        : `at most ${Math.round(100 * remedy.keepFrac)} % of what is added`;
    case 'another_glass':
      return `a glass of at least ${texts.volume(remedy.cupMl)} with the same ice`;
  }
}
