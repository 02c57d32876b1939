import { computed } from 'vue';
import { useBatches, useProgress } from '../events/index.ts';
import { clockTime, fromNow } from '../format/index.ts';
import { useShop } from '../shop/index.ts';

/** The next step of each running batch, and when it is where that is not the steep's end, by the batch's identity. */
export function useNextSteps() {
  const shop = useShop();
  const batches = useBatches();
  const progressAt = useProgress();
  return computed(() => {
    const nowMs = shop.now.getTime();
    return new Map(
      batches.steeping.map((batch) => {
        const { now } = progressAt(batch, nowMs);
        const isEnd = now?.dueMs === Date.parse(batch.endsAt);
        const at = now?.dueMs == null || isEnd ? null : new Date(now.dueMs);
        return [
          batch.id,
          {
            text: now?.step.title ?? 'All of it is done',
            when:
              at === null
                ? ''
                : `${clockTime({ at, zone: shop.zone })}, ${fromNow({ at, now: shop.now })}`,
          },
        ];
      }),
    );
  });
}
