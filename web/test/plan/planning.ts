import type { Plan } from '@ratio/core/batch';
import { useDraft } from '../../src/plan/draft.ts';
import type { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

/** A plan of the lido: 850 g of Lot 14 at 1:5 in the tall jar, 18 h in the fridge. */
const LIDO_PLAN: Plan = {
  coffeeId: 'lot-14',
  vesselId: 'tall-jar',
  grind: 'coarse',
  doseG: 850,
  waterG: 4250,
  waterC: 12,
  wetting: 'stages',
  steep: [{ place: 'fridge', tempC: 4, hours: 18 }],
  agitationHours: [],
  bed: 'loose',
  filtration: { method: 'drain', rinseG: 0 },
};

/** Runs a composable of the planning bench over a plan, and gives the draft's store too. */
export async function withPlan<T>(input: {
  browser: ReturnType<typeof installBrowser>;
  plan?: Partial<Plan>;
  use: () => T;
}): Promise<{ used: T; drafts: ReturnType<typeof useDraft> }> {
  const { browser, plan = {}, use } = input;
  return withApp({
    browser,
    path: '/plan',
    use: () => {
      const drafts = useDraft();
      drafts.takePlan({ ...LIDO_PLAN, ...plan });
      return { drafts, used: use() };
    },
  });
}
