import type { Plan } from '@ratio/core/batch';
import { otherWays, type OtherWay, type Week } from '@ratio/core/log';
import { percentText } from '@ratio/core/units';
import { computed } from 'vue';
import { dateName } from '../format/index.ts';
import { useDraft } from '../plan/index.ts';
import { useAmountFormat } from '../shop/index.ts';
import { askOrLast, useLoaded } from '../sync/index.ts';

const ratioOf = ({ waterG, doseG }: Plan): string => `1:${(waterG / doseG).toFixed(1)}`;
const TITLES: Readonly<
  Record<
    OtherWay['way'],
    (input: { now: Plan; then: Plan; mass: (massG: number) => string }) => string
  >
> = {
  leaner: ({ now, then }) => `${ratioOf(then)} instead of ${ratioOf(now)}`,
  finer: ({ then }) => `ground ${then.grind}`,
  squeeze: () => 'squeezed by hand',
  rinse: ({ now, mass }) => `rinsed with ${mass(now.doseG)} of water`,
};

/** A month of such weeks as the last four were. */
const WEEKS_A_MONTH = 4.35;

/** What the coffee costs, week by week, and what another way of brewing would be worth. */
export function useCostPage() {
  const drafts = useDraft();
  const format = useAmountFormat();
  const { loaded, state, failure, load } = useLoaded(() => askOrLast<Week[]>('/api/log/weeks'));
  const weeks = computed(() => loaded.value ?? []);
  void load();
  const money = (price: number | null): string =>
    price === null ? '–' : format.value.money(price);
  const lines = computed(() =>
    weeks.value.map((week) => ({
      date: week.date,
      week: `from ${dateName(week.date)}`,
      batches: String(week.batchCount),
      coffee: format.value.mass(week.doseG),
      brew: format.value.mass(week.brewG),
      cost: money(week.price),
      price:
        week.price === null || week.brewG === 0
          ? '–'
          : money((1000 * week.price) / week.brewG / format.value.pricedPerKg),
      retained: week.doseG > 0 ? `${(week.brewG / week.doseG).toFixed(2)} g per g` : '–',
      thrown: `${format.value.mass(week.discardedG)}, ${money(week.discardedPrice)}`,
    })),
  );

  /** Coffee a month at the pace of the last whole weeks, kg. */
  const monthKg = computed(() => {
    const whole = weeks.value.slice(1, 5);
    if (whole.length === 0) return 0;
    return (
      ((WEEKS_A_MONTH / whole.length) * whole.reduce((sum, { doseG }) => sum + doseG, 0)) / 1000
    );
  });
  /** The plan in hand another way: what the same coffee solids would cost, at which strength. */
  const changes = computed(() => {
    const { plan, coffee, model } = drafts;
    const price = coffee.pricePerKg;
    if (price === null || !(plan.doseG > 0)) return [];
    const now = otherWays({ plan, model });
    return now.ways.map(({ way, plan: then, strengthFrac, savedFrac }) => {
      const saved = monthKg.value * price * savedFrac;
      return {
        key: way,
        title: TITLES[way]({ now: plan, then, mass: format.value.mass }),
        worth: `${saved < 0 ? 'costs' : 'saves'} ${format.value.money(Math.abs(saved))} a month`,
        strength: `${percentText(strengthFrac, 1)} instead of ${percentText(now.strengthFrac, 1)}`,
      };
    });
  });
  return {
    state,
    failure,
    load,
    lines,
    changes,
    about: computed(() => {
      const { coffee } = drafts;
      return `${coffee.name}, ${format.value.mass(1000 * monthKg.value)} of coffee a month, for the same coffee in the cups`;
    }),
  };
}
