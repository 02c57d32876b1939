/**
 * What somebody may do, each what those before may too: pours drinks and takes the steps of a steep;
 * brews, which is plans, jugs and the pantry; leads, which is prices, people and backups.
 */
export const ROLES = ['pours', 'brews', 'leads'] as const;
export type Role = (typeof ROLES)[number];

/** @returns whether a role may do what takes at least another one */
export const mayDo = (role: Role, least: Role): boolean =>
  ROLES.indexOf(role) >= ROLES.indexOf(least);
