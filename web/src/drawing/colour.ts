import { liquidColour, type Composition } from '@ratio/core';

/** @returns the computed colour of a liquid, as CSS */
export const cssColour = (composition: Composition): string => {
  const [red, green, blue] = liquidColour(composition);
  return `rgb(${red} ${green} ${blue})`;
};
