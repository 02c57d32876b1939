import type { BatchInFull } from '@ratio/core/batch';
import { compareBatches, observationOf, type Compared, type Difference } from '@ratio/core/learn';
import { percentText } from '@ratio/core/units';
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useLog } from './log.ts';
import { clockTime, dayName, duration } from '../format/index.ts';
import { useOpenPlan } from '../plan/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { useLoaded, useNotice } from '../sync/index.ts';
import type { DataColumn } from '../ui/tables/index.ts';

const NAMES: Readonly<Record<Difference, string>> = {
  coffee: 'the coffee',
  grind: 'the grind',
  ratio: 'the ratio',
  dose: 'the amount',
  wetting: 'how it was wetted',
  places: 'how warm it stood',
  hours: 'the hours',
  agitation: 'stirring',
  filtration: 'the filtration',
};

/** What the two are called among the columns. */
export const SIDES = ['a', 'b'] as const;
/** A line of the comparison. */
interface ComparedLine extends Readonly<Record<(typeof SIDES)[number], string>> {
  readonly title: string;
  readonly differs: boolean;
}

/** Two batches of the log side by side: what was different in, what came out, and what explains it. */
export function useComparePage() {
  const log = useLog();
  const shop = useShop();
  const notice = useNotice();
  const format = useAmountFormat();
  const route = useRoute();
  const openPlan = useOpenPlan();

  /** Which two, by the address; null where it does not say. */
  const asked = computed(() => {
    const { a, b } = route.query;
    return typeof a === 'string' && typeof b === 'string' ? ([a, b] as const) : null;
  });
  const {
    loaded: both,
    state,
    failure,
    load,
  } = useLoaded(async () => Promise.all((asked.value ?? []).map(async (id) => log.one(id))));
  watch(
    asked,
    (two) => {
      if (two) void load();
    },
    { immediate: true },
  );

  const sideOf = (batch: BatchInFull): Compared | null => {
    const seen = observationOf({ batch, observations: batch.actuals, probes: batch.probes });
    return (
      seen && {
        plan: batch.plan,
        input: seen.input,
        model: batch.model,
        strengthFrac: seen.strengthFrac,
      }
    );
  };
  const comparison = computed(() => {
    if (!both.value) return null;
    const [a, b] = both.value.map(sideOf);
    return a && b ? compareBatches(a, b) : null;
  });
  const signed = (logFrac: number): string => {
    const frac = Math.expm1(logFrac);
    return `${frac < 0 ? '−' : '+'}${Math.abs(100 * frac).toFixed(1)} %`;
  };
  const nameOf = (batch: BatchInFull): string =>
    `${batch.coffeeName}, ${dayName({ at: new Date(batch.startedAt), zone: shop.zone })}`;
  const rows = computed<readonly ComparedLine[]>(() => {
    if (!both.value) return [];
    const of = (title: string, text: (batch: BatchInFull) => string): ComparedLine => {
      const [a, b] = both.value!.map(text) as [string, string];
      return { title, a, b, differs: a !== b };
    };
    const weighed = (batch: BatchInFull): number =>
      batch.actuals.findLast(({ kind }) => kind === 'weighed')?.massG ?? batch.plan.doseG;
    const poured = (batch: BatchInFull): number =>
      batch.actuals.reduce((sum, row) => sum + (row.kind === 'poured' ? (row.massG ?? 0) : 0), 0) ||
      batch.plan.waterG;
    return [
      of('Coffee', ({ coffeeName }) => coffeeName),
      of('Grind', ({ plan }) => plan.grind),
      of('Coffee in', (batch) => format.value.mass(weighed(batch))),
      of('Water in', (batch) => format.value.mass(poured(batch))),
      of('Ratio', (batch) => `1:${(poured(batch) / weighed(batch)).toFixed(2)}`),
      of('Vessel', ({ vesselName }) => vesselName),
      of('Place', ({ plan }) =>
        plan.steep.map(({ place, tempC }) => `${place} ${format.value.temp(tempC)}`).join(', '),
      ),
      of('Steeped', (batch) => {
        const endMs = Date.parse(batch.strainedAt ?? batch.endsAt);
        const fromMs = Date.parse(batch.pouredAt ?? batch.startedAt);
        return duration(Math.round((endMs - fromMs) / 60_000));
      }),
      of('Filtration', ({ plan }) => plan.filtration.method),
      of('Began', ({ startedAt }) => clockTime({ at: new Date(startedAt), zone: shop.zone })),
      of('Predicted', ({ predictedAtStrain, predicted }) =>
        percentText((predictedAtStrain ?? predicted).strengthFrac),
      ),
      of('Found', ({ strengthBy, strengthFrac }) =>
        strengthBy === 'reading' && strengthFrac !== null ? percentText(strengthFrac) : 'not read',
      ),
    ];
  });
  const names = computed(() => both.value?.map(nameOf) ?? []);
  const columns = computed<readonly DataColumn<ComparedLine>[]>(() => [
    { key: 'title', label: 'What', isQuiet: true, text: ({ title }) => title, minPx: 84 },
    ...SIDES.map((side, i) => ({
      key: side,
      label: names.value[i] ?? '',
      text: (line: ComparedLine) => line[side],
      minPx: 110,
    })),
  ]);
  const explained = computed(() => {
    const found = comparison.value;
    if (!found) return null;
    const parts = found.explained
      .filter(({ byFrac }) => Math.abs(byFrac) > 0.0005)
      .map(({ what, byFrac }) => ({
        key: what as string,
        name: NAMES[what],
        byFrac,
        text: signed(byFrac),
      }));
    const left = found.unexplainedFrac;
    return {
      parts:
        left === null
          ? parts
          : [...parts, { key: 'left', name: 'left unexplained', byFrac: left, text: signed(left) }],
      predicted: signed(found.predictedFrac),
      found: found.foundFrac === null ? null : signed(found.foundFrac),
      most: Math.max(0.01, ...[...parts.map(({ byFrac }) => byFrac), left ?? 0].map(Math.abs)),
    };
  });
  return {
    isAsked: computed(() => asked.value !== null),
    state,
    failure,
    load,
    names,
    ids: computed(() => both.value?.map(({ id }) => id) ?? []),
    rows,
    columns,
    explained,
    /** Takes one of them as the next plan. */
    like: async (i: 0 | 1): Promise<void> => {
      const batch = both.value?.[i];
      if (!batch) return;
      await openPlan(batch.plan);
      notice.say({ tone: 'done', text: `A plan like ${nameOf(batch)}.` });
    },
  };
}
