import { pricePerKgOfBrew } from '@ratio/core/batch';
import { computed, ref } from 'vue';
import { type PouredFrom } from './menu.ts';
import { useMenu } from './menu.ts';
import { onHandMl, useBatches, useJugs } from '../events/index.ts';
import { clockTime } from '../format/index.ts';
import { useShop } from '../shop/index.ts';

/** Coffee that the menu can be looked at from: a jug on hand, or a batch that still steeps. */
export interface MenuSource extends PouredFrom {
  readonly id: string;
  readonly label: string;
  /** The label inside a sentence. */
  readonly title: string;
  readonly coffeeName: string;
  readonly onHandG: number;
  readonly onHandMl: number;
  /** The low end of a prediction, 0–1; null for what is in a jug. */
  readonly lowFrac: number | null;
}

/** The whole menu from one source. A jug that is taken is the jug in hand; a batch is only looked at. */
export function useMenuFrom() {
  const shop = useShop();
  const jugs = useJugs();
  const batches = useBatches();
  const menu = useMenu();
  const batchId = ref<string | null>(null);

  const sources = computed<MenuSource[]>(() => [
    ...jugs.toPourFrom.map((jug) => ({
      ...jug,
      title: jug.label,
      onHandMl: onHandMl(jug),
      lowFrac: null,
    })),
    ...batches.steeping.map(({ id, coffeeName, endsAt, predicted, plan }) => {
      const { brewG, strengthFrac, caffeineMgPerG, strengthLowFrac } = predicted;
      const coffee = shop.coffeeOf(plan.coffeeId);
      const ends = clockTime({ at: new Date(endsAt), zone: shop.zone });
      return {
        id,
        label: `Batch of ${ends}`,
        title: `the batch of ${ends}`,
        coffeeName,
        strengthFrac,
        caffeineMgPerG,
        pricePerKg: pricePerKgOfBrew({ pricePerKg: coffee?.pricePerKg, doseG: plan.doseG, brewG }),
        onHandG: brewG,
        onHandMl: onHandMl({ onHandG: brewG, strengthFrac }),
        lowFrac: strengthLowFrac,
      };
    }),
  ]);
  const source = computed(
    () =>
      sources.value.find(({ id }) => id === batchId.value) ??
      sources.value.find(({ id }) => id === jugs.chosen.id)!,
  );
  // From the jug in hand the menu is solved already.
  const rows = computed(() => {
    if (source.value.id === jugs.chosen.id) return menu.rows;
    return menu.rowsFrom(source.value);
  });
  /** Drinks that a batch would no longer reach if it came out at the low end of its range. */
  const atRisk = computed(() => {
    const from = source.value;
    if (from.lowFrac === null) return [];
    const low = { ...from, strengthFrac: from.lowFrac };
    const isMet = new Set(
      rows.value.filter(({ solution }) => solution.status === 'met').map(({ drink }) => drink.id),
    );
    return menu
      .rowsFrom(low)
      .filter(({ drink, solution }) => solution.status !== 'met' && isMet.has(drink.id))
      .map(({ drink }) => drink.name);
  });

  function take(id: string): void {
    const isJug = !batches.steeping.some((batch) => batch.id === id);
    batchId.value = isJug ? null : id;
    if (isJug) jugs.choose(id);
  }

  return { sources, source, rows, atRisk, take };
}
