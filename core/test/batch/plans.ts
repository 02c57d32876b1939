import type { Plan } from '../../src/batch/schema.ts';

/** 900 g at 1:5, 18 h in the fridge. */
export const FRIDGE_PLAN: Plan = {
  coffeeId: 'a',
  vesselId: 'b',
  grind: 'coarse',
  doseG: 900,
  waterG: 4500,
  waterC: 12,
  wetting: 'stages',
  steep: [{ place: 'fridge', tempC: 4, hours: 18 }],
  agitationHours: [],
  bed: 'loose',
  filtration: { method: 'drain', rinseG: 0 },
};

/** The same, two of its hours on the counter first. */
export const TWO_PLACES_PLAN: Plan = {
  ...FRIDGE_PLAN,
  steep: [
    { place: 'counter', tempC: 22, hours: 2 },
    { place: 'fridge', tempC: 4, hours: 16 },
  ],
};
