export { isWithin } from './dailyHours.ts';
export { usualChecklists } from './checklists.ts';
export { FILTER_KINDS, MOST_SETTINGS, type Shop, shopSchema } from './schema.ts';
export * from './people.ts';
export type { ShopStep } from './stepsSchema.ts';
