import { computed } from 'vue';
import { useDrinks, useMenuCount } from '../drink/index.ts';
import { onHandMl, useBatches, useJugs } from '../events/index.ts';
import { soonTime } from '../format/index.ts';
import { useDraft } from '../plan/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';

const DAY_MS = 86_400_000;

/** One station of the line. */
interface Station {
  readonly to: string;
  readonly name: string;
  readonly text: string;
  readonly due: boolean;
}

/** What stands at each station now. */
export function useLine() {
  const shop = useShop();
  const drafts = useDraft();
  const batches = useBatches();
  const drinks = useDrinks();
  const jugs = useJugs();
  const format = useAmountFormat();

  const plan = computed(() => {
    const { doseG, waterG } = drafts.plan;
    const mass = format.value.mass(doseG);
    return `draft ${mass} at 1:${(waterG / doseG).toFixed(1)}`;
  });
  const steep = computed(() => {
    const [next] = batches.steeping;
    if (!next) return { text: 'nothing steeping', due: false };
    const count = `${batches.steeping.length} steeping`;
    // What time it is in the shop is not known yet.
    if (!shop.document) return { text: count, due: false };
    const at = new Date(next.endsAt);
    const due = at <= shop.now;
    const when = due ? 'now' : soonTime({ at, now: shop.now, zone: shop.zone });
    return { text: `${count}, strain ${when}`, due };
  });
  const stock = computed(() => {
    const { onHand } = jugs;
    if (onHand.length === 0) return { text: 'no concentrate', due: true };
    const volumeMl = onHand.reduce((sum, jug) => sum + onHandMl(jug), 0);
    const held = format.value.volume(volumeMl);
    const byMs = shop.document ? shop.now.getTime() + DAY_MS : 0;
    const soon = onHand.filter(({ useBy }) => Date.parse(useBy) < byMs).length;
    const text = `${held} in ${onHand.length} jug${onHand.length === 1 ? '' : 's'}`;
    return { text: soon > 0 ? `${text}, use up ${soon}` : text, due: soon > 0 };
  });
  const counted = useMenuCount('draws', () => [jugs.chosen]);
  const pour = computed(() => {
    const short = [...(counted.value?.[0]?.values() ?? [])].filter(
      (eachG) => eachG === null,
    ).length;
    const text = `${drinks.drinks.length} drinks`;
    return { text: short > 0 ? `${text}, ${short} out of reach` : text, due: short > 0 };
  });

  const stations = computed<Station[]>(() => [
    { to: '/plan', name: 'Plan', text: plan.value, due: false },
    { to: '/steep', name: 'Steep', ...steep.value },
    { to: '/jugs', name: 'Jugs', ...stock.value },
    { to: '/pour', name: 'Pour', ...pour.value },
  ]);
  return { stations };
}
