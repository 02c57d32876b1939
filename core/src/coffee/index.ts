export { type Grind, GRIND_NAMES, GRINDS } from './grinds.ts';
export { type Coffee, coffeeSchema } from './schema.ts';
