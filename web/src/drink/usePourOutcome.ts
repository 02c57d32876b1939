import { computed } from 'vue';
import type { usePour } from './usePour.ts';
import { usePourTexts } from './usePourTexts.ts';
import { useSession } from '../sync/index.ts';

/** What the page says of the drink in hand; null while there is none, or no jug to pour it from. */
export function usePourOutcome(pour: ReturnType<typeof usePour>) {
  const texts = usePourTexts(pour);
  const session = useSession();
  return computed(() => {
    const { hand } = pour;
    const drink = pour.drink.value;
    const solved = pour.solved.value;
    if (!drink || !solved) return null;
    return {
      drink,
      solved,
      minute: pour.minute.value,
      remedies: pour.remedies.value,
      // Who only pours changes the drink in hand and no menu.
      changes: hand.edited.value && session.can('brews') ? hand.changes.value : null,
      isNew: hand.isNew.value,
      keeping: hand.keeping.value,
      ownIceName: pour.ownIceName.value,
      build: pour.build.value,
      top: pour.top.value,
      measuring: pour.measuring.value,
      rounding: texts.rounding.value,
      count: pour.count.value,
      hotText: texts.hotText.value,
      bulk: pour.bulk.value,
      cost: pour.cost.value,
      margin: texts.margin.value,
      enough: pour.enough.value,
      left: pour.left.value,
      pouring: pour.pouring.value,
      format: pour.format.value,
    };
  });
}
