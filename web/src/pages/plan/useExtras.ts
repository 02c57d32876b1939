import {
  roundedToMeasures,
  strengthByDay,
  planInput,
  predictPlan,
  roundedToBench,
  scalePlan,
  splitBatch,
  vesselOf,
  type Plan,
} from '@ratio/core/batch';
import { hoursToRelease, hoursToStrength, looseMassG, STRENGTH_NAMES } from '@ratio/core/brew';
import { GRIND_NAMES } from '@ratio/core/coffee';
import { percentText, percentFigure } from '@ratio/core/units';
import { storeToRefs } from 'pinia';
import { computed, ref } from 'vue';
import { duration } from '../../format/formatClock.ts';
import { useDraft } from '../../stores/draft.ts';
import { useAmountFormat } from '../../composables/useAmountFormat.ts';
import { useShop } from '../../stores/shop.ts';
import { horizonOf } from './usePlan.ts';

/** Another choice for the same batch, drawn faintly for comparison. */
export type Alternative = 'coarser' | 'finer' | 'elsewhere';

const NEARLY_ALL = 0.9;
const CONCENTRATE_FROM = STRENGTH_NAMES.find(({ name }) => name === 'strong')!.uptoFrac;

/** What else the bench asks of a plan: rounding, scaling, splitting, when it is nearly done. */
export function useExtras() {
  const shelf = useShop();
  const drafts = useDraft();
  const { plan, model } = storeToRefs(drafts);
  const format = useAmountFormat();
  const compareWith = ref<Alternative | null>(null);

  const vessel = computed(() => vesselOf(plan.value, shelf.vessels));
  const mass = (massG: number): string => format.value.mass(massG);
  const strengthOf = (of: Plan): number | null => {
    if (!model.value || !vessel.value) return null;
    return predictPlan({ plan: of, model: model.value, vessel: vessel.value, horizonHours: 1 })
      .outcome.strengthFrac;
  };

  const rounded = computed(() => {
    const to = roundedToBench(plan.value);
    const isRound = to.doseG === plan.value.doseG && to.waterG === plan.value.waterG;
    if (isRound) return null;
    const [before, after] = [strengthOf(plan.value), strengthOf({ ...plan.value, ...to })];
    if (before === null || after === null) return null;
    const effect = `${percentFigure(before)} → ${percentText(after)}`;
    return { ...to, text: `Round to ${mass(to.doseG)} and ${mass(to.waterG)}: ${effect}` };
  });
  /** Scoops of the shop and its bags, where the coffee comes to about whole ones. */
  const measured = computed(() => {
    const { shop } = shelf;
    if (!shop || !model.value) return [];
    const scoop = { volumeMl: shop.scoopMl, form: 'ground' as const, grind: plan.value.grind };
    const measures = [
      { name: 'scoop', oneG: looseMassG(scoop, model.value) },
      ...shop.filters
        .filter(({ kind }) => kind === 'bag')
        .map(({ name, takesG }) => ({ name: name.toLowerCase(), oneG: takesG })),
    ];
    return measures.map((measure) => {
      const { count, doseG, waterG } = roundedToMeasures({ ...plan.value, measure });
      const what = count === 1 ? measure.name : `× ${measure.name}`;
      return { doseG, waterG, text: `${count} ${what}: ${mass(doseG)}` };
    });
  });
  const split = computed(() => {
    if (!vessel.value) return '';
    const { brimMl, shaken, bagHoldsG, name } = vessel.value;
    const { doseG, waterG, waterC } = plan.value;
    const shared = splitBatch({ doseG, waterG, waterC, brimMl, shaken, bagHoldsG });
    if (shared.reason === null) return '';
    const why = shared.reason === 'bag' ? 'bags' : `of ${name}`;
    return `Split over ${shared.vessels} ${why}: ${mass(shared.doseG)} and ${mass(shared.waterG)} each.`;
  });
  const nearlyDone = computed(() => {
    if (!model.value) return '';
    const input = planInput(plan.value);
    const hours = hoursToRelease({ ...input, releasedFrac: NEARLY_ALL }, model.value);
    const strong = hoursToStrength({ ...input, strengthFrac: CONCENTRATE_FROM }, model.value);
    const clock = (at: number): string => duration(Math.round(at * 60));
    const concentrate =
      strong === null
        ? 'Never a concentrate at this ratio.'
        : `A concentrate from ${clock(strong)}.`;
    return hours === null
      ? `90 % of its extraction takes more than a week here. ${concentrate}`
      : `90 % of its extraction is done at ${clock(hours)}. ${concentrate}`;
  });

  const byDay = computed(() => {
    if (plan.value.filtration.method !== 'on-grounds' || !model.value) return '';
    const course = strengthByDay({
      plan: plan.value,
      model: model.value,
      fridgeC: shelf.shop?.fridgeC ?? 4,
    });
    const days = course.map(
      ({ days: day, strengthFrac }) =>
        `${day === 0 ? 'first' : `day ${day + 1}`} ${percentFigure(strengthFrac)}`,
    );
    return `Strength by day, left on the grounds, %: ${days.join(', ')}.`;
  });

  const comparedPlan = computed<Plan | null>(() => {
    const at = GRIND_NAMES.indexOf(plan.value.grind);
    const grind = compareWith.value === 'coarser' ? GRIND_NAMES[at - 1] : GRIND_NAMES[at + 1];
    if (compareWith.value === null) return null;
    if (compareWith.value !== 'elsewhere') return grind ? { ...plan.value, grind } : null;
    const steep = plan.value.steep.map((piece) =>
      piece.place === 'fridge'
        ? { ...piece, place: 'counter' as const, tempC: shelf.shop?.roomC ?? 22 }
        : { ...piece, place: 'fridge' as const, tempC: shelf.shop?.fridgeC ?? 4 },
    );
    return { ...plan.value, steep };
  });
  const comparedCurve = computed(() => {
    const other = comparedPlan.value;
    if (!other || !model.value || !vessel.value) return [];
    const { curve } = predictPlan({
      plan: other,
      model: model.value,
      vessel: vessel.value,
      horizonHours: horizonOf(plan.value),
    });
    return [{ name: compareWith.value ?? '', curve }];
  });

  return {
    rounded,
    measured,
    split,
    nearlyDone,
    byDay,
    compareWith,
    comparedCurve,
    round(): void {
      if (!rounded.value) return;
      const { doseG, waterG } = rounded.value;
      drafts.takePlan({ ...plan.value, doseG, waterG });
    },
    measure(i: number): void {
      const to = measured.value[i];
      if (to) drafts.takePlan({ ...plan.value, doseG: to.doseG, waterG: to.waterG });
    },
    /** The whole batch times a factor, rinse and all. */
    scale(factor: number): void {
      drafts.takePlan(scalePlan(plan.value, factor));
    },
  };
}
