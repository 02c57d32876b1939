import { CONSTANTS } from '../constants.ts';
import type { Plan } from './schema.ts';
import { brew } from '../brew/brew.ts';
import type { BrewModel } from '../brew/model.ts';
import { planInput } from './plan.ts';

/** The strength of a brew left on its grounds, on a day after the steep. */
export interface DayStrength {
  readonly days: number;
  readonly strengthFrac: number;
}

/**
 * A brew left on its grounds: the steep simply goes on in the fridge until each draw.
 *
 * @param input.fridgeC temperature of the fridge, °C, 0…15
 * @returns one row per day, from the end of the steep to the last day that it may be kept
 */
export function strengthByDay(input: {
  plan: Plan;
  model: BrewModel;
  fridgeC: number;
}): DayStrength[] {
  const { plan, model, fridgeC } = input;
  return Array.from({ length: CONSTANTS.keepDays.value }, (_, days) => {
    const more = { place: 'fridge' as const, tempC: fridgeC, hours: 24 * days };
    const steep = days === 0 ? plan.steep : [...plan.steep, more];
    return {
      days,
      strengthFrac: brew(planInput({ ...plan, steep }), model).strengthFrac,
    };
  });
}
