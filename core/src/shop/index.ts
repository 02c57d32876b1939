export { isWithin } from './dailyHours.ts';
export { usualChecklists } from './checklists.ts';
export { FILTER_KINDS } from './filterKinds.ts';
export { MOST_SETTINGS, type Shop, shopSchema } from './schema.ts';
export * from './people.ts';
export { mayDo, type Role, ROLES } from './roles.ts';
export type { ShopStep } from './stepsSchema.ts';
