import { countedObservations } from '@ratio/core/batch';
import { stepsOf } from '@ratio/core/steps';
import { nextTime, type NextTime } from '@ratio/core/learn';
import { batchFacts, batchText } from '@ratio/core/log';
import { SCALE_NAMES, SCALES, type Scale } from '@ratio/core/tasting';
import { percentText } from '@ratio/core/units';
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useLog } from './log.ts';
import { useBatches } from '../events/index.ts';
import { authorOf, dateAndTime } from '../format/index.ts';
import { useOpenPlan } from '../plan/index.ts';
import { useObservationText, useAmountFormat, useShop } from '../shop/index.ts';
import { useLoaded } from '../sync/index.ts';
import { saveFile } from '../ui/browser/index.ts';

const WAYS: Readonly<Record<NextTime['way'], (plan: NextTime['plan']) => string>> = {
  leaner: ({ doseG, waterG }) => `Leaner, 1:${(waterG / doseG).toFixed(1)}`,
  stronger: ({ doseG, waterG }) => `Less water, 1:${(waterG / doseG).toFixed(1)}`,
  longer: ({ steep }) => `Longer, ${steep.at(-1)!.hours} h`,
  shorter: ({ steep }) => `Shorter, ${steep.at(-1)!.hours} h`,
  coarser: ({ grind }) => `Coarser, ${grind}`,
  finer: ({ grind }) => `Finer, ${grind}`,
  paper: () => 'Through paper after the drain',
  same: () => 'The same again',
};
const WHYS: Readonly<Record<NextTime['why'], string>> = {
  weaker: 'Found weaker than planned',
  stronger: 'Found stronger than planned',
  bitter: 'It tasted bitter',
  sour: 'It tasted sour',
  muddy: 'It was muddy',
  liked: 'It was liked',
};

/** One batch as the log has it: what was planned, what happened, what was found, what to do next time. */
export function useEntryPage() {
  const log = useLog();
  const shop = useShop();
  const batches = useBatches();
  const format = useAmountFormat();
  const openPlan = useOpenPlan();
  const route = useRoute();
  const id = computed(() => String(route.params['id']));

  const {
    loaded: batch,
    state,
    failure,
    load,
  } = useLoaded(async () => {
    const [one] = await Promise.all([log.one(id.value), log.loadTastings(id.value)]);
    return one;
  });
  watch([id, () => batches.batches], load, { immediate: true });

  const when = (instant: string): string => dateAndTime({ at: new Date(instant), zone: shop.zone });
  const textOf = useObservationText();
  const rows = computed(() => {
    const { actuals = [], plan } = batch.value ?? {};
    const steps = plan ? stepsOf({ plan, shopSteps: shop.document?.steps ?? [] }) : [];
    return countedObservations(actuals).map((row) => ({
      id: row.id,
      when: when(row.at),
      text: textOf(row, steps),
      by: authorOf(row),
    }));
  });
  const tastings = computed(() => log.tastingsOf(id.value));
  const means = computed(() => {
    const of: Partial<Record<Scale, number>> = {};
    for (const name of SCALE_NAMES) {
      const said = tastings.value.flatMap((one) => one.said.scores[name] ?? []);
      if (said.length > 0) of[name] = said.reduce((sum, one) => sum + one, 0) / said.length;
    }
    return of;
  });
  const texts = computed(() => {
    const { mass, percent } = format.value;
    return { mass, percent: (frac: number) => percent(frac), time: when };
  });
  const facts = computed(() =>
    batch.value ? batchFacts(batch.value, texts.value).filter(({ name }) => name !== 'Found') : [],
  );
  const foundFrac = computed(() =>
    batch.value?.strengthBy === 'reading' ? batch.value.strengthFrac : null,
  );
  const next = computed(() => {
    const one = batch.value;
    const coffee = one && shop.coffeeOf(one.plan.coffeeId);
    if (one?.status !== 'strained') return [];
    return nextTime({
      plan: one.plan,
      model: coffee ? shop.modelFor(coffee) : one.model,
      aimFrac: one.predicted.strengthFrac,
      foundFrac: foundFrac.value,
      scores: means.value,
    }).map(({ way, why, plan, strengthFrac, sameFrac }) => ({
      key: way,
      title: WAYS[way](plan),
      why: WHYS[why],
      effect: `This brings ${percentText(strengthFrac, 1)} instead of ${percentText(sameFrac, 1)}`,
      open: async (): Promise<void> => {
        await openPlan(plan);
      },
    }));
  });
  const said = computed(() =>
    SCALE_NAMES.flatMap((name) => {
      const mean = means.value[name];
      return mean === undefined ? [] : `${SCALES[name].name.toLowerCase()} ${mean.toFixed(1)}`;
    }),
  );
  /** What stands where there is nothing to change, by what is known of it. */
  const nothingToChange = computed(() => {
    const isScored = said.value.length > 0;
    if (foundFrac.value !== null)
      return isScored
        ? 'It was read as planned, and its scores ask for nothing else.'
        : 'It was read as planned: nothing to change. Score the taste, and this counts it too.';
    return isScored
      ? 'Its scores ask for nothing else. Take a reading, and this counts it too.'
      : 'Take a reading or score the taste. Then this says what to change, and by how much.';
  });

  return {
    batch,
    state,
    failure,
    load,
    facts,
    foundFrac,
    rows,
    next,
    nothingToChange,
    said,
    notes: computed(() => tastings.value.filter(({ note }) => note !== '')),
    title: computed(() =>
      batch.value ? `${batch.value.coffeeName}, ${when(batch.value.startedAt)}` : '',
    ),
    like: async (): Promise<void> => {
      if (!batch.value) return;
      await openPlan(batch.value.plan);
    },
    saveMarkdown: (): void => {
      if (!batch.value) return;
      const text = batchText({ batch: batch.value, rows: rows.value, texts: texts.value });
      saveFile({ name: `${batch.value.id}.md`, data: text, type: 'text/markdown' });
    },
    saveJson: (): void => {
      if (!batch.value) return;
      saveFile({ name: `${batch.value.id}.json`, data: JSON.stringify(batch.value, null, 2) });
    },
  };
}
