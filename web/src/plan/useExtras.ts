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
import {
  brew,
  hoursToRelease,
  hoursToStrength,
  looseMassG,
  STRENGTH_NAMES,
} from '@ratio/core/brew';
import { GRIND_NAMES } from '@ratio/core/coffee';
import { percentText, percentFigure } from '@ratio/core/units';
import { storeToRefs } from 'pinia';
import { computed, ref } from 'vue';
import { useDraft } from './draft.ts';
import { horizonOf } from './usePlan.ts';
import { duration } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';

/** Another choice for the same batch, drawn faintly for comparison. */
export type Alternative = 'coarser' | 'finer' | 'elsewhere';

/** Something that could be done with a plan, and what it does to it. */
export interface Suggestion {
  readonly key: string;
  readonly title: string;
  readonly effect: string;
}
const ALTERNATIVES: readonly { readonly key: Alternative; readonly title?: string }[] = [
  { key: 'coarser', title: 'Coarser' },
  { key: 'finer', title: 'Finer' },
  { key: 'elsewhere' },
];
const SCALES = [
  { key: 'halved', title: 'Halved', factor: 0.5 },
  { key: 'doubled', title: 'Doubled', factor: 2 },
] as const;
const signed = (by: number): string => `${by < 0 ? '−' : '+'}${percentFigure(Math.abs(by))}`;

const NEARLY_ALL = 0.9;
const CONCENTRATE_FROM = STRENGTH_NAMES.find(({ name }) => name === 'strong')!.uptoFrac;

/** What else the bench asks of a plan: rounding, scaling, splitting, when it is nearly done. */
export function useExtras() {
  const shop = useShop();
  const drafts = useDraft();
  const { plan, model } = storeToRefs(drafts);
  const format = useAmountFormat();
  const compareWith = ref<Alternative | null>(null);

  const vessel = computed(() => vesselOf(plan.value, shop.vessels));
  const mass = (massG: number): string => format.value.mass(massG);
  const strengthOf = (plan: Plan): number | null =>
    model.value && brew(planInput(plan), model.value).strengthFrac;

  const rounded = computed(() => {
    const to = roundedToBench(plan.value);
    const isRound = to.doseG === plan.value.doseG && to.waterG === plan.value.waterG;
    return isRound ? null : to;
  });
  /** Scoops of the shop and its bags, where the coffee comes to about whole ones. */
  const measured = computed(() => {
    const { document: details } = shop;
    if (!details || !model.value) return [];
    const scoop = { volumeMl: details.scoopMl, form: 'ground' as const, grind: plan.value.grind };
    const measures = [
      { name: 'scoop', oneG: looseMassG(scoop, model.value) },
      ...details.filters
        .filter(({ kind }) => kind === 'bag')
        .map(({ name, takesG }) => ({ name: name.toLowerCase(), oneG: takesG })),
    ];
    return measures.map((measure) => {
      const { count, doseG, waterG } = roundedToMeasures({ ...plan.value, measure });
      const what = count === 1 ? measure.name : `× ${measure.name}`;
      return { doseG, waterG, title: `${count} ${what}` };
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
      fridgeC: shop.document?.fridgeC ?? 4,
    });
    const days = course.map(
      ({ days: day, strengthFrac }) =>
        `${day === 0 ? 'first' : `day ${day + 1}`} ${percentFigure(strengthFrac)}`,
    );
    return `Strength by day, left on the grounds, %: ${days.join(', ')}.`;
  });

  /** The same batch with another grind, or steeped in the other place; null where there is none. */
  function alternative(which: Alternative): Plan | null {
    const at = GRIND_NAMES.indexOf(plan.value.grind);
    const grind = which === 'coarser' ? GRIND_NAMES[at - 1] : GRIND_NAMES[at + 1];
    if (which !== 'elsewhere') return grind ? { ...plan.value, grind } : null;
    const steep = plan.value.steep.map((piece) =>
      piece.place === 'fridge'
        ? { ...piece, place: 'counter' as const, tempC: shop.document?.roomC ?? 22 }
        : { ...piece, place: 'fridge' as const, tempC: shop.document?.fridgeC ?? 4 },
    );
    return { ...plan.value, steep };
  }
  const comparedPlan = computed<Plan | null>(() =>
    compareWith.value === null ? null : alternative(compareWith.value),
  );

  const planned = computed(() => strengthOf(plan.value));
  /** What a change of the plan does to its strength: "3.61 %, +0.14". */
  function effectOf(other: Plan): string {
    const after = strengthOf(other);
    if (planned.value === null || after === null) return '';
    const by = after - planned.value;
    const off = Math.abs(by) < 5e-5 ? 'the same' : signed(by);
    return `${percentText(after)}, ${off}`;
  }
  /** What could be done with this plan, each with what it does. */
  const suggestions = computed<Suggestion[]>(() => {
    const others = ALTERNATIVES.flatMap(({ key, title }) => {
      const other = alternative(key);
      const where = plan.value.steep[0]!.place === 'fridge' ? 'On the counter' : 'In the fridge';
      return other ? [{ key, title: title ?? where, effect: effectOf(other) }] : [];
    });
    const whole = measured.value.map(({ doseG, waterG, title }, i) => {
      const strengthFrac = strengthOf({ ...plan.value, doseG, waterG });
      const strength = strengthFrac === null ? '' : percentText(strengthFrac);
      return { key: `measure-${i}`, title, effect: `${mass(doseG)}, ${strength}` };
    });
    const round = rounded.value && {
      key: 'round',
      title: `Round to ${mass(rounded.value.doseG)}`,
      effect: effectOf({ ...plan.value, ...rounded.value }),
    };
    const times = SCALES.map(({ key, title, factor }) => ({
      key,
      title,
      effect: `${mass(factor * plan.value.doseG)} of coffee`,
    }));
    return [...others, ...(round ? [round] : []), ...whole, ...times];
  });
  function take(key: string): void {
    const alternatively = ALTERNATIVES.find((one) => one.key === key);
    const scale = SCALES.find((one) => one.key === key);
    const i = Number(/^measure-(\d+)$/.exec(key)?.[1] ?? Number.NaN);
    const to = key === 'round' ? rounded.value : measured.value[i];
    if (alternatively) {
      const other = alternative(alternatively.key);
      compareWith.value = null;
      if (other) drafts.change(other);
    } else if (scale) drafts.takePlan(scalePlan(plan.value, scale.factor));
    else if (to) drafts.takePlan({ ...plan.value, doseG: to.doseG, waterG: to.waterG });
  }

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
    suggestions,
    take,
  };
}
