import type { Plan } from '@ratio/core/batch';
import { useRouter } from 'vue-router';
import { useDraft } from './draft.ts';

/**
 * Opens a plan that something else suggests: a new one, so that nothing of the plan in hand stays in it.
 *
 * @returns a function of the plan and when it is to start; null for when somebody starts it
 */
export function useOpenPlan(): (plan: Plan, startAt?: Date | null) => Promise<void> {
  const drafts = useDraft();
  const router = useRouter();
  return async (plan, startAt = null) => {
    drafts.restart();
    drafts.takePlan(plan, { startAt: startAt?.toISOString() ?? null });
    await router.push('/plan');
  };
}
