import { liquidColour } from '@ratio/core/drink';
import type { Composition } from '@ratio/core/matter';

/** @returns the computed colour of a liquid, as CSS */
export const cssColour = (composition: Composition): string => {
  const [red, green, blue] = liquidColour(composition);
  return `rgb(${red} ${green} ${blue})`;
};
