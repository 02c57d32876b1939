import { vesselNameOf } from '@ratio/core/batch';
import { CONSTANTS } from '@ratio/core/constants';
import { waterToStrengthG } from '@ratio/core/jug';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useBatches, useJugs } from '../events/index.ts';
import { authorOf, clockTime, dateName, dayName, listText } from '../format/index.ts';
import { usePantry } from '../pantry/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { ask } from '../sync/index.ts';

/** What stands on a bottle or a jug, so that nobody has to ask or guess. */
export interface Label {
  readonly title: string;
  readonly what: string;
  readonly made: string;
  readonly useBy: string;
  /** What that date is. */
  readonly useByName: 'Use by' | 'Strain';
  readonly contains: string;
  readonly keep: string;
  /** How it is diluted; empty for what is poured as it is. */
  readonly dilute: string;
  /** Who made it; empty where nobody signed in. */
  readonly who: string;
  /** Where it came from, to go back to; its code opens it. */
  readonly from: string;
}

/** What a tablet on the shop's network cannot reach. */
const OWN_NAMES = ['localhost', '127.0.0.1', '[::1]'];
const NO_ALLERGENS = 'none of the listed allergens';

/** The label that the address asks for: of a jug, or of a house recipe as if it were made now. */
export function useLabel() {
  const route = useRoute();
  const shop = useShop();
  const batches = useBatches();
  const jugs = useJugs();
  const pantry = usePantry();
  const format = useAmountFormat();

  /** Parts of water that bring a concentrate to the strength of a cup. */
  function diluteText(strengthFrac: number): string {
    const wantedFrac = CONSTANTS.cupStrengthFrac.value;
    if (strengthFrac <= wantedFrac) return '';
    const parts = waterToStrengthG({ massG: 1, strengthFrac, wantedFrac });
    return `1 part to ${parts.toFixed(1)} of water makes ${format.value.percent(wantedFrac, 1)}`;
  }
  /** Who filled it, by the first row of its ledger. */
  const filledBy = ref('');
  watch(
    () => route.query['jug'],
    async (id) => {
      filledBy.value = '';
      if (typeof id !== 'string') return;
      const rows = await jugs.entries(id).catch(() => []);
      const { author = '' } = rows.findLast(({ kind }) => kind === 'filled') ?? {};
      filledBy.value = authorOf({ author });
    },
    { immediate: true },
  );
  watch(
    () => route.query['batch'],
    (id) => {
      if (typeof id === 'string') void batches.loadInFull(id).catch(() => undefined);
    },
    { immediate: true },
  );

  const ofBatch = computed<Label | null>(() => {
    const batch = batches.withId(String(route.query['batch']));
    if (batch?.status !== 'steeping') return null;
    const { plan, predicted } = batch;
    const { zone } = shop;
    const author = batches.observationsOf(batch.id)[0]?.author ?? '';
    return {
      title: vesselNameOf(batch),
      what: `${batch.coffeeName}, ${format.value.mass(plan.doseG)} and ${format.value.mass(plan.waterG)}, ${plan.grind}; ${format.value.percent(predicted.strengthFrac, 1)} expected`,
      made: clockTime({ at: new Date(batch.pouredAt ?? batch.startedAt), zone }),
      useBy: clockTime({ at: new Date(batch.endsAt), zone }),
      useByName: 'Strain',
      contains: NO_ALLERGENS,
      keep: 'covered, until it is strained',
      dilute: '',
      who: authorOf({ author }),
      from: `/steep/${batch.id}`,
    };
  });

  const ofJug = computed<Label | null>(() => {
    const jug = jugs.onHand.find(({ id }) => id === route.query['jug']);
    if (!jug) return null;
    const { zone } = shop;
    return {
      title: jug.label,
      what: `${listText(['Cold brew', jug.coffeeName, format.value.percent(jug.strengthFrac)])}: dilute before it is drunk`,
      useByName: 'Use by',
      dilute: diluteText(jug.strengthFrac),
      who: filledBy.value,
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
      useByName: 'Use by',
      dilute: '',
      who: '',
      made: dayName({ at: life?.at ?? shop.now, zone: shop.zone }),
      useBy: dateName(life?.lastDay ?? pantry.lastDayOf(lifeDays)),
      contains: ingredient.allergens.join(', ') || NO_ALLERGENS,
      keep:
        method === 'freeze'
          ? `frozen, ${format.value.temp(CONSTANTS.freezerIceC.value)}`
          : `${format.value.temp(CONSTANTS.coldHoldingC.value)} or colder, covered`,
      from: `/shelf/house-recipes?recipe=${ingredient.id}`,
    };
  });

  /** Where a tablet's camera is led to: this page's own address, where others reach that. */
  const address = ref(OWN_NAMES.includes(location.hostname) ? '' : location.origin);
  if (address.value === '')
    void ask<{ addresses: readonly string[] }>('/api/addresses')
      .then(({ addresses }) => (address.value = addresses[0] ?? location.origin))
      .catch(() => (address.value = location.origin));

  const label = computed(() => ofBatch.value ?? ofJug.value ?? ofRecipe.value);
  return {
    label,
    shop: computed(() => shop.document),
    /** What its code says; empty until the address is known. */
    code: computed(() =>
      label.value && address.value !== '' ? `${address.value}${label.value.from}` : '',
    ),
  };
}
