export { caffeineAtStrength } from './caffeineAtStrength.ts';
export { type Grind, GRIND_NAMES, GRINDS } from './grinds.ts';
export { ROASTS } from './roasts.ts';
export { type Coffee, coffeeSchema } from './schema.ts';
export { USUAL_COFFEES, usualCoffee } from './usual.ts';
