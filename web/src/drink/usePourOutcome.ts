import type { AskedFor } from '@ratio/core/drink';
import { computed, type Ref } from 'vue';
import type { usePour } from './usePour.ts';
import { usePourTexts } from './usePourTexts.ts';
import { useSession } from '../sync/index.ts';

/**
 * What the page says of the drink in hand, section by section; null while there is none, or no jug to pour it from.
 *
 * @param asked what enough people asked for, so that it could be the usual
 */
export function usePourOutcome(
  pour: ReturnType<typeof usePour>,
  asked: Readonly<Ref<readonly AskedFor[]>>,
) {
  const texts = usePourTexts(pour);
  const session = useSession();
  return computed(() => {
    const { hand } = pour;
    const drink = pour.drink.value;
    const solved = pour.solved.value;
    if (!drink || !solved) return null;
    // Who only pours changes the drink in hand and no menu.
    const mayChange = session.can('brews');
    const changes = hand.edited.value && mayChange ? hand.changes.value : null;
    return {
      drink,
      solved,
      minute: pour.minute.value,
      top: pour.top.value,
      remedies: pour.remedies.value,
      edits: {
        changes,
        wishes: mayChange && !changes ? asked.value : [],
        isNew: hand.isNew.value,
        keeping: hand.keeping.value,
      },
      ownIceName: pour.ownIceName.value,
      building: {
        build: pour.build.value,
        rounding: texts.rounding.value,
        hotText: texts.hotText.value,
        bulk: pour.bulk.value,
        measuring: pour.measuring.value,
        count: pour.count.value,
      },
      facts: { cost: pour.cost.value, margin: texts.margin.value, left: pour.left.value },
      pouring: {
        assumed: pour.jugs.isAssumed,
        enough: pour.enough.value,
        pouring: pour.pouring.value,
      },
      format: pour.format.value,
    };
  });
}
