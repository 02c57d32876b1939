import { steepHoursOf, usualPlan, type Plan } from '@ratio/core/batch';
import { helpsOf, latestStart, nextBatch } from '@ratio/core/day';
import { storedCoffeeMl } from '@ratio/core/matter';
import { percentText } from '@ratio/core/units';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import type { DayShown } from './useDayShown.ts';
import type { Supply } from './useSupply.ts';
import { useBatches, useJugs } from '../events/index.ts';
import { clockTime, duration } from '../format/index.ts';
import { useOpenPlan } from '../plan/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';

const DAY_MS = 86_400_000;
/** For how long the next batch is to last. */
const COVERS_DAYS = 2;
/** A shop that is shut for a day or two needs what it sells after that. */
const LOOKS_DAYS = 5;
const USUAL_DOSE_G = 1000;

/** The batch that has to start next, so that the shop does not run out, and what helps where it is too late. */
export function useNextBatch(shown: DayShown, supply: Supply) {
  const shop = useShop();
  const batches = useBatches();
  const jugs = useJugs();
  const router = useRouter();
  const openPlan = useOpenPlan();
  const format = useAmountFormat();
  const at = (ms: number): string => clockTime({ at: new Date(ms), zone: shop.zone });

  /** A plan by the shop's defaults, of the coffee that runs out. */
  const usual = computed<Plan | null>(() => {
    const { document: details, coffees } = shop;
    const runsOut = jugs.onHand[0]?.coffeeName;
    const last = batches.batches.findLast(({ coffeeName }) => coffeeName === runsOut);
    const coffee =
      shop.coffeeOf(last?.plan.coffeeId ?? '') ??
      coffees.find(({ name }) => name === runsOut) ??
      coffees[0];
    if (!details || !coffee) return null;
    return usualPlan({ shop: details, coffeeId: coffee.id, vesselId: '', doseG: USUAL_DOSE_G });
  });
  const crew = computed(() => ({
    fromHours: shop.document?.crewFromHours ?? 0,
    toHours: shop.document?.crewToHours ?? 24,
  }));
  /** When the next one must be ready: as early as what is on hand may be gone. */
  const readyByMs = computed(() => supply.allGone.value?.lowMs ?? null);
  const start = computed(() =>
    usual.value === null || readyByMs.value === null
      ? null
      : latestStart({
          readyByMs: readyByMs.value,
          nowMs: shown.minuteMs.value,
          zone: shop.zone,
          steepHours: steepHoursOf(usual.value),
          agitationHours: [],
          wetting: usual.value.wetting,
          method: usual.value.filtration.method,
          crew: crew.value,
        }),
  );
  const isInTime = computed(() => start.value?.isInTime ?? false);
  /** When it starts: by then, or now where it is too late. */
  const startMs = computed(() => Math.max(start.value?.startMs ?? 0, shown.minuteMs.value));
  const batch = computed(() => {
    const { forecast } = supply;
    if (usual.value === null || forecast.value === null || readyByMs.value === null) return null;
    const coffee = shop.coffeeOf(usual.value.coffeeId);
    if (!coffee) return null;
    const fromMs = isInTime.value
      ? readyByMs.value
      : startMs.value + steepHoursOf(usual.value) * 3_600_000;
    const needs = (days: number): number =>
      forecast.value!.neededG({ fromMs, toMs: fromMs + days * DAY_MS });
    const neededG = needs(COVERS_DAYS) || needs(LOOKS_DAYS);
    if (!(neededG > 0)) return null;
    const vessels = shop.steepers.filter(
      ({ id }) =>
        batches.inVessel(id, usual.value!, startMs.value) === null &&
        batches.uncleaned(id) === null,
    );
    return nextBatch({ neededG, plan: usual.value, model: shop.modelFor(coffee), vessels });
  });
  const vesselName = computed(
    () => shop.vessels.find(({ id }) => id === batch.value?.plan.vesselId)?.name ?? '',
  );

  async function open(plan: Plan, startAtMs: number): Promise<void> {
    const isNow = startAtMs <= shop.now.getTime() + 60_000;
    await openPlan(plan, isNow ? null : new Date(startAtMs));
  }

  const helps = computed(() => {
    const { forecast, onHandG, strengthFrac, arrivals, strainedNow } = supply;
    const plan = batch.value?.plan ?? usual.value;
    const coffee = plan && shop.coffeeOf(plan.coffeeId);
    if (isInTime.value || !plan || !coffee || !forecast.value || readyByMs.value === null)
      return [];
    return helpsOf({
      forecast: forecast.value,
      onHandG: onHandG.value,
      strengthFrac: strengthFrac.value,
      arrivals: arrivals.value,
      steeping: strainedNow.value,
      plan,
      model: shop.modelFor(coffee),
      roomC: shop.document?.roomC ?? 22,
      nowMs: shown.minuteMs.value,
      readyByMs: readyByMs.value,
    }).map((help) => {
      const lasts = (ms: number | null): string =>
        ms === null ? 'lasts for two weeks' : `lasts until ${at(ms)}`;
      switch (help.way) {
        case 'hurry':
          return {
            key: help.way,
            title: `Steep ${duration(60 * steepHoursOf(help.plan))} on the counter`,
            effect: `ready ${at(help.readyMs)}, ${percentText(help.strengthFrac, 1)} strong`,
            to: () => open(help.plan, 0),
          };
        case 'strain-now': {
          const { name } = strainedNow.value.find(({ batchId }) => batchId === help.batchId)!;
          return {
            key: help.batchId,
            title: `Strain ${name} now`,
            effect: `${percentText(help.strengthFrac, 1)} strong, ${lasts(help.untilMs)}`,
            to: () => router.push(`/steep/${help.batchId}`),
          };
        }
        case 'thinner':
          return {
            key: help.way,
            title: `Pour ${Math.round(100 * help.byFrac)} % less into each drink`,
            effect: lasts(help.untilMs),
            to: null,
          };
        case 'water':
          return {
            key: help.way,
            title: `Stretch the jugs with ${format.value.mass(help.massG)} of water`,
            effect: `${percentText(help.strengthFrac, 1)} strong, poured as before ${lasts(help.untilMs)}`,
            to: () => router.push('/jugs'),
          };
      }
    });
  });

  return {
    /** The batch to start, in words; null where nothing has to start. */
    advice: computed(() => {
      const made = batch.value;
      if (!made) return null;
      const { plan, brewG, covers } = made;
      return {
        title: `${format.value.mass(plan.doseG)} at 1:${(plan.waterG / plan.doseG).toFixed(0)}, ${vesselName.value}`,
        by: start.value ? at(start.value.startMs) : null,
        isInTime: isInTime.value,
        comesTo: `${format.value.volume(storedCoffeeMl({ massG: brewG, strengthFrac: made.strengthFrac }))} of brew at ${percentText(made.strengthFrac, 1)}`,
        covers,
        open: () => open(plan, startMs.value),
      };
    }),
    /** Whether everything that steeps in is taken. */
    noVessel: computed(() => supply.allGone.value?.lowMs != null && batch.value === null),
    helps,
  };
}
