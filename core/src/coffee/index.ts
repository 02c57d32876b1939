export { type Grind, GRIND_NAMES, GRINDS } from './grinds.ts';
export { type Coffee, coffeeSchema, ROASTS } from './schema.ts';
export { USUAL_COFFEES, usualCoffee } from './usual.ts';
