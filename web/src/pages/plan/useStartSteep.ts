import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { sentenceOf } from '../../api/client.ts';
import { clockTime } from '../../format/formatClock.ts';
import { useBatches } from '../../stores/batches.ts';
import { useDraft } from '../../stores/draft.ts';
import { useNotice } from '../../stores/notice.ts';
import { useShop } from '../../stores/shop.ts';

/** Starts the draft's steep: sent again with the draft's own id it counts once. */
export function useStartSteep() {
  const shelf = useShop();
  const drafts = useDraft();
  const batches = useBatches();
  const notice = useNotice();
  const router = useRouter();
  const starting = ref(false);

  async function start(): Promise<void> {
    starting.value = true;
    try {
      const batch = await batches.start({ id: drafts.draft.id, plan: drafts.plan });
      drafts.renew();
      const at = clockTime({ at: new Date(batch.endsAt), zone: shelf.zone });
      notice.say({ tone: 'done', text: `Steeping: ${batch.coffeeName}. Strain ${at}.` });
      await router.push('/steep');
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    } finally {
      starting.value = false;
    }
  }
  return { starting, start };
}
