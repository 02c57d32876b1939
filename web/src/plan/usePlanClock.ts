import { amountText, percentFigure } from '@ratio/core/units';
import {
  batchSchedule,
  crewWindows,
  isManned,
  nearestFits,
  planInput,
  startForReadyMs,
  type ScheduleEvent,
  type ScheduleFit,
} from '@ratio/core/batch';
import { brew } from '@ratio/core/brew';
import { localHours } from '@ratio/core/calendar';
import { storeToRefs } from 'pinia';
import { computed, type Ref } from 'vue';
import { useDraft } from './draft.ts';
import { horizonOf } from './usePlan.ts';
import { clockTime, dayName, duration } from '../format/index.ts';
import { useShop } from '../shop/index.ts';

const HOUR_MS = 3_600_000;

/** A change that makes the plan meet the crew, and what it does to the yield. */
export interface OfferedFit extends ScheduleFit {
  readonly text: string;
}

const EVENT_WORDS: Readonly<Record<ScheduleEvent['kind'], string>> = {
  start: 'start',
  'top-up': 'top up',
  agitate: 'stir',
  strain: 'strain',
  filter: 'second filter',
  ready: 'ready',
  'use-by': 'use by',
};

/** The plan on the wall clock of the shop, against the hours of its crew. */
export function usePlanClock(hours: Ref<number>) {
  const shop = useShop();
  const drafts = useDraft();
  const { plan, model, draft } = storeToRefs(drafts);
  const { document: details, zone, now } = storeToRefs(shop);

  const startMs = computed(() =>
    draft.value.startAt ? Date.parse(draft.value.startAt) : now.value.getTime(),
  );
  const crew = computed(() => ({
    fromHours: details.value?.crewFromHours ?? 0,
    toHours: details.value?.crewToHours ?? 24,
  }));
  const input = computed(() => ({
    startMs: startMs.value,
    zone: zone.value,
    steepHours: hours.value,
    agitationHours: plan.value.agitationHours,
    wetting: plan.value.wetting,
    method: plan.value.filtration.method,
    crew: crew.value,
  }));
  const events = computed(() => batchSchedule(input.value));
  const manned = computed(() => isManned(events.value));
  const at = (ms: number): string => clockTime({ at: new Date(ms), zone: zone.value });
  const timeline = computed(() => {
    const all = events.value.map((event) => ({ ...event, alone: event.handsOn && !event.crewIn }));
    const isStrainAlone = all.some(({ kind, alone }) => kind === 'strain' && alone);
    return all
      .filter(({ kind }) => kind !== 'top-up')
      .map(({ kind, atMs, alone }) => ({
        what: EVENT_WORDS[kind],
        when: kind === 'use-by' ? dayName({ at: new Date(atMs), zone: zone.value }) : at(atMs),
        alone,
        /** Its field says when; that nobody is in to see it ready, the strain before it says. */
        isInField: (kind === 'start' && !alone) || (kind === 'ready' && (!alone || isStrainAlone)),
      }));
  });

  const yieldAt = (steepHours: number): number => {
    const [first, ...rest] = plan.value.steep;
    if (!first) return 0;
    // A longer or shorter steep is so in its last place.
    const before = rest.length === 0 ? 0 : hours.value - plan.value.steep.at(-1)!.hours;
    const last = { ...plan.value.steep.at(-1)!, hours: Math.max(0.25, steepHours - before) };
    const steep = [...plan.value.steep.slice(0, -1), last];
    return brew(planInput({ ...plan.value, steep }), model.value).extractionYieldFrac;
  };
  const fits = computed<OfferedFit[]>(() => {
    const now0 = Math.min(now.value.getTime(), startMs.value);
    return nearestFits({ ...input.value, notBeforeMs: now0 }).map((fit) => {
      const strainMs = fit.startMs + fit.steepHours * HOUR_MS;
      const moved = fit.startMs !== startMs.value;
      const effect = moved
        ? 'the same'
        : `extraction ${amountText({ figure: percentFigure(yieldAt(fit.steepHours), 1), unit: '%' })}`;
      const what = moved
        ? `start ${at(fit.startMs)}`
        : `${Number(fit.steepHours.toFixed(2))}\u00a0h`;
      return { ...fit, text: `${what}, strain ${at(strainMs)}, ${effect}` };
    });
  });
  const windows = computed(() =>
    crewWindows({
      startMs: startMs.value,
      zone: zone.value,
      horizonHours: horizonOf(plan.value),
      crew: crew.value,
    }),
  );

  function setStart(ms: number | null): void {
    drafts.commit({ startAt: ms === null ? null : new Date(ms).toISOString() });
  }
  function setReady(readyMs: number | null): void {
    if (readyMs === null) return;
    const { method } = plan.value.filtration;
    const ms = startForReadyMs({ readyMs, steepHours: hours.value, method });
    drafts.commit({ startAt: new Date(ms).toISOString() });
  }
  const readyMs = computed(() => events.value.find(({ kind }) => kind === 'ready')!.atMs);
  const opening = computed(() => {
    const hoursOfDay = localHours({ atMs: readyMs.value, zone: zone.value });
    const { openHours = 0, closeHours = 24 } = details.value ?? {};
    if (hoursOfDay < openHours)
      return `Ready ${duration(Math.round((openHours - hoursOfDay) * 60))} before opening.`;
    if (hoursOfDay > closeHours) return 'Ready after closing, for the next day.';
    return `Ready ${duration(Math.round((hoursOfDay - openHours) * 60))} after opening.`;
  });
  const isPast = computed(() => startMs.value < now.value.getTime() - 60_000);
  /** How long it has steeped by now, where it began already; empty where it has not. */
  const pastText = computed(() => {
    if (!isPast.value) return '';
    const minutes = Math.round((now.value.getTime() - startMs.value) / 60_000);
    return `Began ${at(startMs.value)}: it has steeped for ${duration(minutes)}.`;
  });

  return {
    timeline,
    manned,
    fits,
    windows,
    pastText,
    startMs,
    opening,
    readyMs,
    setStart,
    setReady,
    clockAt: (atHours: number) => at(startMs.value + atHours * HOUR_MS),
  };
}
