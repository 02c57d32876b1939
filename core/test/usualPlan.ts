import { planSchema, type Plan } from '../src/batch/schema.ts';

/** A usual plan: 850 g at 1:5, 18 h in the fridge, drained; changed as a test needs it. */
export const usualPlan = (part: Partial<Plan> = {}): Plan =>
  planSchema.parse({
    coffeeId: 'lot-1',
    vesselId: 'jar',
    grind: 'coarse',
    doseG: 850,
    waterG: 4250,
    waterC: 12,
    wetting: 'stages',
    steep: [{ place: 'fridge', tempC: 4, hours: 18 }],
    agitationHours: [],
    filtration: { method: 'drain', rinseG: 0 },
    ...part,
  });
