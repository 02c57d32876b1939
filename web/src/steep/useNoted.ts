import { countedObservations, type ObservationRow } from '@ratio/core/batch';
import { computed, type Ref } from 'vue';
import { authorOf, clockTime } from '../format/index.ts';
import { useObservationText, useShop } from '../shop/index.ts';

/** What the steps themselves say. */
const OF_STEPS: readonly ObservationRow['kind'][] = ['done', 'skipped', 'strained'];

/** Rows that stand beside the steps, in words, the last one first. */
export function useNoted(observations: Readonly<Ref<readonly ObservationRow[]>>) {
  const shop = useShop();
  const textOf = useObservationText();

  return computed(() =>
    countedObservations(observations.value)
      .filter(({ step, kind }) => step === null && !OF_STEPS.includes(kind))
      .map((row) => ({
        id: row.id,
        when: clockTime({ at: new Date(row.at), zone: shop.zone }),
        text: textOf(row),
        by: authorOf(row),
        // A share that went over is a batch of its own by now.
        canGoBack: row.kind !== 'split-off',
      }))
      .toReversed(),
  );
}
