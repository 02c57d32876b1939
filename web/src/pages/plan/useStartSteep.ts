import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { sentenceOf } from '../../api/client.ts';
import { clockTime } from '../../format/formatClock.ts';
import { useStores } from '../../stores/useStores.ts';

/** Starts the draft's steep: sent again with the draft's own id it counts once. */
export function useStartSteep() {
  const { shelf, drafts, batches, notice } = useStores();
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
