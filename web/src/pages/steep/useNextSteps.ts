import { computed } from 'vue';
import { useProgress } from '../../composables/useProgress.ts';
import { clockTime, fromNow } from '../../format/formatClock.ts';
import { useStores } from '../../stores/useStores.ts';

/** The next step of each running batch, and when it is, by the batch's identity. */
export function useNextSteps() {
  const { shelf, batches } = useStores();
  const progressAt = useProgress();
  return computed(() => {
    const nowMs = shelf.now.getTime();
    return new Map(
      batches.steeping.map((batch) => {
        const { now } = progressAt(batch, nowMs);
        const at = now?.dueMs == null ? null : new Date(now.dueMs);
        return [
          batch.id,
          {
            text: now?.step.title ?? 'All of it is done',
            when:
              at === null
                ? ''
                : `${clockTime({ at, zone: shelf.zone })}, ${fromNow({ at, now: shelf.now })}`,
          },
        ];
      }),
    );
  });
}
