import { steepHoursOf } from '@ratio/core/batch';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { useDraft } from './draft.ts';
import { useBatches } from '../events/index.ts';
import { clockTime } from '../format/index.ts';
import { useShop } from '../shop/index.ts';
import { sentenceOf, useNotice } from '../sync/index.ts';

const HOUR_MS = 3_600_000;

/** Starts the draft's steep: sent again with the draft's own id it counts once. */
export function useStartSteep() {
  const shop = useShop();
  const drafts = useDraft();
  const batches = useBatches();
  const notice = useNotice();
  const router = useRouter();
  const starting = ref(false);

  async function start(): Promise<void> {
    if (starting.value) return;
    starting.value = true;
    try {
      const { startingPlan: plan, draft, coffee } = drafts;
      // A start that is past is when it began; one that was meant for later begins now.
      const plannedMs = draft.startAt === null ? Infinity : Date.parse(draft.startAt);
      const startedAt = new Date(Math.min(plannedMs, shop.now.getTime()));
      const request = { id: draft.id, plan, startedAt: startedAt.toISOString() };
      const { name } = coffee;
      await batches.start(request, `${name}: started`);
      drafts.restart();
      const ends = new Date(startedAt.getTime() + steepHoursOf(plan) * HOUR_MS);
      const at = clockTime({ at: ends, zone: shop.zone });
      notice.say({ tone: 'done', text: `Steeping: ${name}. Strain ${at}.` });
      await router.push('/steep');
    } catch (error) {
      await batches.load().catch(() => undefined);
      if (batches.batches.some(({ id }) => id === drafts.draft.id)) {
        // Another tablet was a moment earlier: it is one batch, and this draft is done.
        drafts.restart();
        notice.say({ tone: 'done', text: 'It is started already, on another tablet.' });
        return void router.push('/steep');
      }
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    } finally {
      starting.value = false;
    }
  }
  return { starting, start };
}
