import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { sentenceOf } from '../../api/client.ts';
import { clockTime } from '../../format/formatClock.ts';
import { useStores } from '../../stores/useStores.ts';

const HOUR_MS = 3_600_000;

/** Starts the draft's steep: sent again with the draft's own id it counts once. */
export function useStartSteep() {
  const { shelf, drafts, batches, notice } = useStores();
  const router = useRouter();
  const starting = ref(false);

  async function start(): Promise<void> {
    starting.value = true;
    try {
      const { plan, draft, coffee } = drafts;
      const startedAt = shelf.now;
      const request = { id: draft.id, plan, startedAt: startedAt.toISOString() };
      const name = coffee?.name ?? 'A batch';
      await batches.start(request, `${name}: started`);
      drafts.renew();
      const hours = plan.steep.reduce((sum, piece) => sum + piece.hours, 0);
      const ends = new Date(startedAt.getTime() + hours * HOUR_MS);
      const at = clockTime({ at: ends, zone: shelf.zone });
      notice.say({ tone: 'done', text: `Steeping: ${name}. Strain ${at}.` });
      await router.push('/steep');
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    } finally {
      starting.value = false;
    }
  }
  return { starting, start };
}
