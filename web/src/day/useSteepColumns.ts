import {
  planInput,
  steepHoursOf,
  vesselIdOf,
  vesselNameOf,
  type Batch,
  type Plan,
} from '@ratio/core/batch';
import { ANY_VESSEL_ID, brewCurve, type BrewModel, type BrewPoint } from '@ratio/core/brew';
import { coffeeOf } from '@ratio/core/matter';
import { percentText } from '@ratio/core/units';
import { computed } from 'vue';
import type { DayColumn, DayEdge, DaySteep, Slice } from './dayColumn.ts';
import type { DayShown } from './useDayShown.ts';
import { useBatches, useProgress } from '../events/index.ts';
import { cssColour, timeOfDay } from '../format/index.ts';
import { useDraft } from '../plan/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';

const HOUR_MS = 3_600_000;
const POINTS = 25;
const SLICE_HOURS = 0.5;
/** Colours are those of a finger’s width: a whole vessel of concentrate is as good as black. */
const DEPTH = 0.3;
/** Clocks past midnight say so by their day, in a column by their hour alone. */
const inDay = (hours: number): number => ((hours % 24) + 24) % 24;
const WORDS: readonly (readonly [start: string, word: string])[] = [
  ['agitate', 'stir'],
  ['move', 'move'],
  ['strain', 'strain'],
];
const wordOf = (key: string): string | undefined =>
  WORDS.find(([start]) => key.startsWith(start))?.[1];

/** How strong the slurry of a plan is by the hour; remembered as long as the plan is the same. */
function rememberedCurves() {
  const known = new Map<string, readonly BrewPoint[]>();
  return (input: { key: string; plan: Plan; model: BrewModel; hours: number }) => {
    const { key, plan, model, hours } = input;
    const found = known.get(key);
    if (found) return found;
    const horizonS = Math.max(1, hours) * 3600;
    const curve = brewCurve({ ...planInput(plan), horizonS, points: POINTS }, model);
    if (known.size > 200) known.clear();
    known.set(key, curve);
    return curve;
  };
}

/** Vessels with what steeps in them on the shown day, and the plan in hand where it has an hour. */
export function useSteepColumns(shown: DayShown) {
  const shop = useShop();
  const batches = useBatches();
  const drafts = useDraft();
  const format = useAmountFormat();
  const progressAt = useProgress();
  const curveOf = rememberedCurves();

  const slices = (input: {
    curve: readonly BrewPoint[];
    fromHours: number;
    toHours: number;
  }): Slice[] => {
    const { curve, fromHours, toHours } = input;
    const horizon = curve.at(-1)!.hours;
    const strengthAt = (hours: number): number => {
      const at = (Math.min(hours, horizon) / horizon) * (curve.length - 1);
      const [low, high] = [Math.floor(at), Math.ceil(at)];
      const [a, b] = [curve[low]!.strengthFrac, curve[high]!.strengthFrac];
      return a + (at - low) * (b - a);
    };
    const begin = Math.max(0, fromHours);
    const end = Math.min(24, toHours);
    const count = Math.max(0, Math.ceil((end - begin) / SLICE_HOURS));
    return Array.from({ length: count }, (_, i) => {
      const from = begin + i * SLICE_HOURS;
      const to = Math.min(end, from + SLICE_HOURS);
      const strengthFrac = strengthAt((from + to) / 2 - fromHours);
      return {
        fromHours: from,
        toHours: to,
        colour: cssColour(coffeeOf({ massG: 1, strengthFrac: DEPTH * strengthFrac })),
      };
    });
  };

  function steepOf(batch: Batch): DaySteep {
    const { plan, predicted } = batch;
    const fromMs = Date.parse(batch.pouredAt ?? batch.startedAt);
    const nowMs = shown.minuteMs.value;
    const isDone = batch.status !== 'steeping';
    const endMs = Date.parse(batch.strainedAt ?? batch.endsAt);
    const late = !isDone && endMs < nowMs;
    const [fromHours, endHours] = [fromMs, endMs].map(shown.hoursAt) as [number, number];
    const toHours = late ? shown.hoursAt(nowMs) : endHours;
    const hours = Math.max(1, (Math.max(endMs, late ? nowMs : 0) - fromMs) / HOUR_MS);
    const curve = curveOf({
      key: `${batch.id} ${batch.version} ${Math.ceil(hours)}`,
      plan,
      model: batch.model,
      hours,
    });
    const edges = progressAt(batch, nowMs).states.flatMap(
      ({ step, dueMs, state, noted }): DayEdge[] => {
        const word = wordOf(step.key);
        if (!word || step.atS === null || dueMs === null) return [];
        const isStrain = word === 'strain';
        if (isDone && !isStrain) return [];
        const atHours = shown.hoursAt(isStrain && isDone ? endMs : dueMs);
        const isNoted = noted !== null || state === 'passed' || (isStrain && isDone);
        return [
          {
            key: `${batch.id}-${step.key}`,
            atHours,
            text: `${timeOfDay(inDay(atHours))} ${word}${isStrain && isDone ? 'ed' : ''}`,
            note: isStrain ? format.value.volume(predicted.brewMl) : '',
            state: isNoted ? 'done' : dueMs <= nowMs ? 'due' : 'later',
          },
        ];
      },
    );
    return {
      id: batch.id,
      to: `/steep/${batch.id}`,
      text: `${batch.coffeeName}, ${format.value.mass(plan.doseG)}, ${percentText(predicted.strengthFrac, 1)} expected`,
      slices: slices({ curve, fromHours, toHours }),
      edges: edges.filter(({ atHours }) => atHours >= 0 && atHours <= 24),
      fromHours,
      toHours,
      isPlanned: false,
      label: [batch.coffeeName.split(',')[0]!, format.value.mass(plan.doseG)],
    };
  }

  /** The plan in hand, where it is to start at an hour that is still to come. */
  const planned = computed<(DaySteep & { readonly vesselId: string }) | null>(() => {
    const { draft, model, plan } = drafts;
    if (draft.startAt === null || Date.parse(draft.startAt) < shown.minuteMs.value) return null;
    const fromHours = shown.hoursAt(Date.parse(draft.startAt));
    const hours = steepHoursOf(plan);
    const toHours = fromHours + hours;
    if (toHours < 0 || fromHours > 24) return null;
    const key = JSON.stringify(plan);
    const curve = curveOf({ key, plan, model, hours });
    return {
      id: 'planned',
      vesselId: plan.vesselId,
      to: '/plan',
      text: 'the plan in hand',
      slices: slices({ curve, fromHours, toHours }),
      edges: [],
      fromHours,
      toHours,
      isPlanned: true,
      label: [
        `start ${timeOfDay(inDay(fromHours))}`,
        `${format.value.mass(plan.doseG)}, 1:${(plan.waterG / plan.doseG).toFixed(0)}`,
      ],
    };
  });

  const inSight = computed(() =>
    [...batches.steeping, ...batches.past].filter((batch) => {
      const { status, strainedAt, startedAt, endsAt } = batch;
      if (status === 'abandoned') return false;
      // What is late steeps on until somebody strains it.
      const endMs = strainedAt
        ? Date.parse(strainedAt)
        : Math.max(shown.minuteMs.value, Date.parse(endsAt));
      return shown.hoursAt(endMs) > 0 && shown.hoursAt(Date.parse(startedAt)) < 24;
    }),
  );
  const columns = computed<DayColumn[]>(() => {
    const all = inSight.value.map((batch) => ({ batch, steep: steepOf(batch) }));
    const ofVessel = (id: string) => all.filter(({ batch }) => vesselIdOf(batch) === id);
    const shelfColumns = shop.steepers.map(({ id, name }) => {
      const own = ofVessel(id).map(({ steep }) => steep);
      const dirty = batches.uncleaned(id);
      const plan = planned.value?.vesselId === id ? [planned.value] : [];
      const steeps = [...own, ...plan];
      return {
        id,
        name,
        steeps,
        note: steeps.length > 0 ? '' : dirty ? 'to be cleaned' : 'free, clean',
      };
    });
    // A batch in any vessel has a column of its own.
    const known = new Set(shelfColumns.map(({ id }) => id));
    const others = all
      .filter(({ batch }) => !known.has(vesselIdOf(batch)))
      .map(({ batch, steep }) => ({
        id: batch.id,
        name: vesselNameOf(batch),
        steeps: [steep],
        note: '',
      }));
    const loose =
      planned.value?.vesselId === ANY_VESSEL_ID
        ? [{ id: 'planned', name: 'Any vessel', steeps: [planned.value], note: '' }]
        : [];
    return [...shelfColumns, ...others, ...loose].toSorted((a, b) => nextHand(a) - nextHand(b));
  });
  return { columns, planned };
}

/** Vessels stand in the order in which they need a hand; those that are free come last. */
function nextHand({ steeps }: DayColumn): number {
  const edges = steeps.flatMap((steep) => steep.edges.filter(({ state }) => state !== 'done'));
  return Math.min(
    steeps.length > 0 ? 1000 : 2000,
    ...edges.map(({ atHours }) => atHours),
    ...steeps.map(({ toHours }) => toHours),
  );
}
