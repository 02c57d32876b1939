import { planInput, type Plan } from '@ratio/core/batch';
import { brew } from '@ratio/core/brew';
import { GRIND_NAMES } from '@ratio/core/coffee';
import { weekSchema, type Week } from '@ratio/core/log';
import { percentText } from '@ratio/core/units';
import { computed, ref, shallowRef } from 'vue';
import { z } from 'zod';
import { sentenceOf } from '../../api/client.ts';
import { askOrLast } from '../../api/askOrLast.ts';
import { useAmountFormat } from '../../composables/useAmountFormat.ts';
import { dateName } from '../../format/formatClock.ts';
import { useStores } from '../../stores/useStores.ts';

const weeksSchema = z.array(weekSchema);
/** A month of such weeks as the last four were. */
const WEEKS_A_MONTH = 4.35;

/** What the coffee costs, week by week, and what another way of brewing would be worth. */
export function useCostPage() {
  const { drafts } = useStores();
  const format = useAmountFormat();
  const weeks = shallowRef<readonly Week[]>([]);
  const state = ref<'loading' | 'ready' | 'failed'>('loading');
  const failure = ref('');
  async function load(): Promise<void> {
    try {
      weeks.value = await askOrLast(weeksSchema, '/api/log/weeks');
      state.value = 'ready';
    } catch (error) {
      failure.value = sentenceOf(error);
      state.value = 'failed';
    }
  }
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
      perKg:
        week.price === null || week.brewG === 0 ? '–' : money((1000 * week.price) / week.brewG),
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
    const of = (changed: Plan) => {
      const { strengthFrac, brewG } = brew(planInput(changed), model);
      return { strengthFrac, perSolids: changed.doseG / (strengthFrac * brewG) };
    };
    const now = of(plan);
    const finer = GRIND_NAMES[GRIND_NAMES.indexOf(plan.grind) + 1];
    const ways: { key: string; title: string; plan: Plan }[] = [
      {
        key: 'leaner',
        title: `1:${(plan.waterG / plan.doseG + 1).toFixed(1)} instead of 1:${(plan.waterG / plan.doseG).toFixed(1)}`,
        plan: { ...plan, waterG: plan.waterG + plan.doseG },
      },
      ...(finer
        ? [{ key: 'finer', title: `ground ${finer}`, plan: { ...plan, grind: finer } }]
        : []),
      ...(plan.filtration.method === 'squeeze'
        ? []
        : [
            {
              key: 'squeeze',
              title: 'squeezed by hand',
              plan: { ...plan, filtration: { ...plan.filtration, method: 'squeeze' as const } },
            },
          ]),
      {
        key: 'rinse',
        title: `rinsed with ${format.value.mass(plan.doseG)} of water`,
        plan: {
          ...plan,
          filtration: { ...plan.filtration, rinseG: plan.filtration.rinseG + plan.doseG },
        },
      },
    ];
    return ways.map((way) => {
      const then = of(way.plan);
      const saved = monthKg.value * price * (1 - then.perSolids / now.perSolids);
      return {
        key: way.key,
        title: way.title,
        worth: `${saved < 0 ? 'costs' : 'saves'} ${format.value.money(Math.abs(saved))} a month`,
        strength: `${percentText(then.strengthFrac, 1)} instead of ${percentText(now.strengthFrac, 1)}`,
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
