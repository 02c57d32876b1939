import type { Plan } from './schema.ts';

/** @returns all that goes into a batch, with its rinse: more than that never comes out, g */
export const inputG = ({
  doseG,
  waterG,
  filtration,
}: Pick<Plan, 'doseG' | 'waterG' | 'filtration'>): number => doseG + waterG + filtration.rinseG;
