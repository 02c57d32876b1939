import { CONSTANTS } from '@ratio/core/constants';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { dateName, dayName } from '../../format/formatClock.ts';
import { useAmountFormat } from '../../composables/useAmountFormat.ts';
import { useStores } from '../../stores/useStores.ts';

/** What stands on a bottle or a jug, so that nobody has to ask or guess. */
export interface Label {
  readonly title: string;
  readonly what: string;
  readonly made: string;
  readonly useBy: string;
  readonly contains: string;
  readonly keep: string;
  /** Where it came from, to go back to. */
  readonly from: string;
}

const NO_ALLERGENS = 'none of the listed allergens';

/** The label that the address asks for: of a jug, or of a house recipe as if it were made now. */
export function useLabel() {
  const route = useRoute();
  const { shelf, jugs, pantry } = useStores();
  const format = useAmountFormat();

  const ofJug = computed<Label | null>(() => {
    const jug = jugs.onHand.find(({ id }) => id === route.query['jug']);
    if (!jug) return null;
    const { zone } = shelf;
    return {
      title: jug.label,
      what: `Cold brew, ${jug.coffeeName}, ${format.value.percent(jug.strengthFrac)}: dilute before it is drunk`,
      made: dayName({ at: new Date(jug.madeAt), zone }),
      useBy: dayName({ at: new Date(jug.useBy), zone }),
      contains: NO_ALLERGENS,
      keep: `${format.value.temp(CONSTANTS.coldHoldingC.value)} or colder, covered`,
      from: `/jugs/${jug.id}`,
    };
  });

  const ofRecipe = computed<Label | null>(() => {
    const made = pantry.resolved.made[String(route.query['recipe'])];
    if (!made) return null;
    const { ingredient, lifeDays } = made;
    const life = pantry.lifeOf(ingredient.id);
    const { method } = pantry.houseRecipes.find(({ id }) => id === ingredient.id)!.process;
    return {
      title: ingredient.name,
      what: 'Made here',
      made: dayName({ at: life?.at ?? shelf.now, zone: shelf.zone }),
      useBy: dateName(life?.lastDay ?? pantry.lastDayOf(lifeDays)),
      contains: ingredient.allergens.join(', ') || NO_ALLERGENS,
      keep:
        method === 'freeze'
          ? `frozen, ${format.value.temp(CONSTANTS.freezerIceC.value)}`
          : `${format.value.temp(CONSTANTS.coldHoldingC.value)} or colder, covered`,
      from: `/shelf/house-recipes?recipe=${ingredient.id}`,
    };
  });

  return { label: computed(() => ofJug.value ?? ofRecipe.value), shop: computed(() => shelf.shop) };
}
