import type { Way } from './waysToReach.ts';

/** How a way is said at the bar. */
export interface WayWords {
  readonly mass: (massG: number) => string;
  readonly volume: (volumeMl: number) => string;
  readonly temp: (tempC: number) => string;
}

const pct = (frac: number): string => `${(100 * frac).toFixed(2)} %`;

/** @returns one way to reach a target, as what to do */
export function wayText(way: Way, words: WayWords): string {
  switch (way.way) {
    case 'less_ice':
      return way.iceG === 0 ? 'no ice at all' : `at most ${words.mass(way.iceG)} of ice`;
    case 'larger_ice':
      return 'one large piece of ice instead';
    case 'freezer_ice':
      return `ice at ${words.temp(way.tempC)}, dry from the freezer`;
    case 'coffee_ice':
      return 'coffee cubes of this jug instead of water ice';
    case 'water_ice':
      return 'water ice instead of coffee cubes';
    case 'chill':
      return `everything chilled to ${words.temp(way.tempC)} before the ice`;
    case 'stronger_batch':
      return `a jug of at least ${pct(way.strengthFrac)}`;
    case 'less_added':
      return way.keepFrac === 0
        ? 'nothing added'
        : `at most ${Math.round(100 * way.keepFrac)} % of what is added`;
    case 'another_glass':
      return `a glass of at least ${words.volume(way.cupMl)} with the same ice`;
  }
}
