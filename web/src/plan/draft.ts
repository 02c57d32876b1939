import { brewSetting, usualPlan, type Plan } from '@ratio/core/batch';
import {
  ANY_VESSEL_ID,
  BATCH_LIMITS,
  brewAmounts,
  slurryMl,
  vesselFit,
  lockTarget,
  setTarget,
  solveBrew,
  type BrewSolution,
  type TargetPair,
  type TargetKey,
} from '@ratio/core/brew';
import { CONSTANTS } from '@ratio/core/constants';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { useDraftSync, type LocalDraft } from './draftSync.ts';
import { useBatches } from '../events/index.ts';
import { useShop } from '../shop/index.ts';
import { newId, useStored } from '../sync/index.ts';

/** An amount that could not be set, and why. */
export interface Conflict {
  readonly key: TargetKey;
  readonly solution:
    | Exclude<BrewSolution, { status: 'solved' }>
    | {
        /** What would follow is more than a bench can hold. */
        readonly status: 'too_much';
        readonly of: 'doseG' | 'waterG';
        readonly amountG: number;
        readonly mostG: number;
      };
}

/** The usual coffee where the shelf has none. */
const USUAL_ID = 'usual-medium';
const MOST = [
  { of: 'doseG', mostG: BATCH_LIMITS.doseG },
  { of: 'waterG', mostG: BATCH_LIMITS.waterG },
] as const;

const freshDraft = (): LocalDraft => ({
  id: newId(),
  version: 0,
  unsaved: false,
  plan: {
    coffeeId: '',
    vesselId: '',
    grind: 'coarse',
    doseG: 850,
    waterG: 4250,
    waterC: 12,
    wetting: 'stages',
    steep: [{ place: 'fridge', tempC: CONSTANTS.brewVolumeTempC.value, hours: 18 }],
    agitationHours: [],
    bed: 'loose',
    filtration: { method: 'drain', rinseG: 0 },
  },
  targets: [
    { key: 'ratio', value: 5 },
    { key: 'doseG', value: 850 },
  ],
  locked: null,
  scooped: false,
  startAt: null,
});

/** The draft on the planning bench: kept here through a reload, and on the server for every tablet. */
export const useDraft = defineStore('draft', () => {
  const shop = useShop();
  const batches = useBatches();
  const draft = useStored('ratio.plan', freshDraft());
  const conflict = shallowRef<Conflict | null>(null);
  const plan = computed<Plan>(() => draft.value.plan);
  /** The plan as its batch remembers it. */
  const startingPlan = computed<Plan>(() =>
    draft.value.scooped ? { ...plan.value, scooped: true } : plan.value,
  );
  const coffee = computed(() => shop.coffeeOf(plan.value.coffeeId) ?? shop.brewable[0]!);

  /** What the model takes for the plan's coffee. */
  const model = computed(() => shop.modelFor(coffee.value));
  const solve = (plan: Plan, targets: TargetPair): BrewSolution =>
    solveBrew(brewSetting(plan), targets, model.value);
  /** Every amount of the draft as it is. */
  const amounts = computed(() => brewAmounts(brewSetting(plan.value), plan.value, model.value));

  function commit(part: Partial<LocalDraft>): void {
    conflict.value = null;
    draft.value = { ...draft.value, ...part, unsaved: true };
    sync.typed();
  }

  /** Sets an amount; where it cannot be had, says why and changes nothing. */
  function setAmount(key: TargetKey, value: number, more: Partial<LocalDraft> = {}): void {
    const targets = setTarget({
      targets: draft.value.targets,
      locked: draft.value.locked,
      key,
      value,
    });
    const solution = solve(plan.value, targets);
    if (solution.status !== 'solved') {
      conflict.value = { key, solution };
      return;
    }
    const { doseG, waterG } = solution.amounts;
    const next = { ...plan.value, doseG, waterG };
    const tooMuch = MOST.find(({ of, mostG }) => next[of] > mostG);
    if (tooMuch) {
      const { of, mostG } = tooMuch;
      conflict.value = { key, solution: { status: 'too_much', of, amountG: next[of], mostG } };
      return;
    }
    commit({ ...more, targets: [...targets], plan: next });
  }

  /** Changes a choice; what is set stays, as long as the new choice lets it. */
  function change(part: Partial<Plan>): void {
    const next = { ...plan.value, ...part };
    const solution = solve(next, draft.value.targets);
    if (solution.status === 'solved') {
      const { doseG, waterG } = solution.amounts;
      commit({ plan: { ...next, doseG, waterG } });
      return;
    }
    const { doseG, waterG } = next;
    commit({
      plan: next,
      targets: [
        { key: 'doseG', value: doseG },
        { key: 'waterG', value: waterG },
      ],
      locked: null,
    });
  }

  function lock(key: TargetKey): void {
    if (draft.value.locked === key) return commit({ locked: null });
    const value = amounts.value[key];
    if (value)
      commit({
        locked: key,
        targets: [...lockTarget({ targets: draft.value.targets, key, value })],
      });
  }

  function takePlan({ scooped = false, ...next }: Plan, more: Partial<LocalDraft> = {}): void {
    const { doseG, waterG } = next;
    commit({
      plan: next,
      scooped,
      targets: [
        { key: 'waterG', value: waterG },
        { key: 'doseG', value: doseG },
      ],
      locked: null,
      ...more,
    });
  }

  const sync = useDraftSync({ draft, startingPlan, restart });

  /** A plan with the first coffee of the shelf, and the smallest vessel that is free and holds it. */
  function withShelf(plan: Plan): Plan {
    const needMl = slurryMl({ ...plan, tempC: plan.waterC });
    const free = shop.steepers
      .filter(
        ({ id, brimMl, shaken }) =>
          vesselFit({ slurryMl: needMl, vesselMl: brimMl, shaken }).fit !== 'overflows' &&
          batches.inVessel(id, plan, shop.now.getTime()) === null &&
          batches.uncleaned(id) === null,
      )
      .toSorted((a, b) => a.brimMl - b.brimMl);
    return {
      ...plan,
      coffeeId: shop.coffees[0]?.id ?? USUAL_ID,
      vesselId: free[0]?.id ?? ANY_VESSEL_ID,
    };
  }
  function restart(): void {
    const fresh = freshDraft();
    const { document: details } = shop;
    conflict.value = null;
    sync.forget();
    if (!details) return;
    const { coffeeId, vesselId, doseG } = fresh.plan;
    draft.value = {
      ...fresh,
      targets: [
        { key: 'ratio', value: details.defaults.ratio },
        { key: 'doseG', value: doseG },
      ],
      plan: withShelf(usualPlan({ shop: details, coffeeId, vesselId, doseG })),
    };
  }

  return {
    draft,
    plan,
    startingPlan,
    coffee,
    model,
    amounts,
    conflict,
    theirs: sync.theirs,
    refusal: sync.refusal,
    setAmount,
    change,
    commit,
    lock,
    takePlan,
    load: sync.load,
    save: sync.save,
    settle: sync.settle,
    /** A new plan by the shop’s defaults: nothing of the one before is in it. */
    restart,
    /** Gives a plan that has none yet a coffee and a vessel, so that a page always shows both. */
    fillIn(): void {
      if (plan.value.coffeeId !== '' && plan.value.vesselId !== '') return;
      draft.value = { ...draft.value, plan: withShelf(plan.value) };
    },
  };
});
