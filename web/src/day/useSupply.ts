import { batchSchedule, brewAt, steepHoursOf, vesselNameOf, type Batch } from '@ratio/core/batch';
import { createForecast, lastsUntil } from '@ratio/core/day';
import { computed, watch } from 'vue';
import { useDays } from './days.ts';
import type { DayShown } from './useDayShown.ts';
import { useBatches, useJugs } from '../events/index.ts';
import { useShop } from '../shop/index.ts';

/** When a batch that steeps is in its jugs, ms since 1970 UTC. */
function readyMs(batch: Batch, zone: string): number {
  const { plan } = batch;
  const startMs = Date.parse(batch.endsAt) - steepHoursOf(plan) * 3_600_000;
  return batchSchedule({
    startMs,
    zone,
    steepHours: steepHoursOf(plan),
    agitationHours: [],
    wetting: plan.wetting,
    method: plan.filtration.method,
    crew: { fromHours: 0, toHours: 24 },
  }).find(({ kind }) => kind === 'ready')!.atMs;
}

/** What is on hand, what comes to it, and how long it lasts at the shop's own pace. */
export function useSupply(shown: DayShown) {
  const shop = useShop();
  const jugs = useJugs();
  const batches = useBatches();
  const days = useDays();

  const load = (): Promise<void> => days.loadPours().catch(() => undefined);
  const read = load();
  // Every pour changes the pace of today.
  watch(() => jugs.jugs.map(({ lastEntryId }) => lastEntryId).join(), load);
  /** What was poured here and the server has not counted yet is in the jugs, not in the pace. */
  const forecast = computed(() =>
    days.pours === null
      ? null
      : createForecast({ days: days.pours, zone: shop.zone, nowMs: shown.minuteMs.value }),
  );
  const onHandG = computed(() => jugs.onHand.reduce((sum, jug) => sum + jug.onHandG, 0));
  const arrivals = computed(() =>
    batches.steeping
      .filter(({ predicted }) => predicted.brewG > 0)
      .map((batch) => ({
        batchId: batch.id,
        // What is late will be there when somebody has strained it.
        atMs: Math.max(readyMs(batch, shop.zone), shown.minuteMs.value),
        massG: batch.predicted.brewG,
        batch,
      }))
      .toSorted((a, b) => a.atMs - b.atMs),
  );
  /** When each jug is empty, the oldest first. */
  const empty = computed(() => {
    let beforeG = 0;
    return jugs.onHand.map((jug) => {
      beforeG += jug.onHandG;
      return { jug, out: forecast.value?.runOut(beforeG) ?? null };
    });
  });
  /** When all of it is gone, with what comes before then. */
  const allGone = computed(() =>
    forecast.value
      ? lastsUntil({
          forecast: forecast.value,
          onHandG: onHandG.value,
          arrivals: arrivals.value,
        })
      : null,
  );
  /** What each running batch would be if it were strained now. */
  const strainedNow = computed(() =>
    batches.steeping.map((batch) => ({
      batchId: batch.id,
      name: vesselNameOf(batch),
      massG: batch.predicted.brewG,
      ...brewAt({ batch, atMs: shown.minuteMs.value }),
    })),
  );
  /** Of all jugs together, 0 where there is none. */
  const strengthFrac = computed(() =>
    onHandG.value > 0
      ? jugs.onHand.reduce((sum, jug) => sum + jug.onHandG * jug.strengthFrac, 0) / onHandG.value
      : 0,
  );
  return {
    /** Settled once what was poured has been read, or could not be. */
    read,
    forecast,
    onHandG,
    arrivals,
    empty,
    allGone,
    strainedNow,
    strengthFrac,
  };
}

export type Supply = ReturnType<typeof useSupply>;
