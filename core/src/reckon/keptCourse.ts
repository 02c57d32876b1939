import { CONSTANTS } from '../constants.ts';
import type { Plan } from '../schemas/batch.ts';
import { planInput } from './reckonPlan.ts';
import { batch, type BatchInput } from '../brew/batch.ts';

/** The strength of a brew that stays on its grounds, on a day after the steep. */
export interface KeptDay {
  readonly days: number;
  readonly strengthFrac: number;
}

/**
 * A brew kept on its grounds: the steep simply goes on in the fridge until each draw.
 *
 * @param input.fridgeC temperature of the fridge, °C, 0…15
 * @returns one row per day, from the end of the steep to the last day that it may be kept
 */
export function keptCourse(input: {
  plan: Plan;
  coffee: BatchInput['coffee'];
  fridgeC: number;
}): KeptDay[] {
  const { plan, coffee, fridgeC } = input;
  return Array.from({ length: CONSTANTS.keepDays.value }, (_, days) => {
    const more = { place: 'fridge' as const, tempC: fridgeC, hours: 24 * days };
    const steep = days === 0 ? plan.steep : [...plan.steep, more];
    return {
      days,
      strengthFrac: batch(planInput({ plan: { ...plan, steep }, coffee })).strengthFrac,
    };
  });
}
