import { isEqual } from '@ratio/core/document';
import { brewSetting, usualPlan, type Draft, type Plan } from '@ratio/core/batch';
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
import { computed, ref, shallowRef, watch } from 'vue';
import { ask, newId, RequestProblem, Unreachable } from '../api/client.ts';
import { useBatches } from './batches.ts';
import { useSession } from './session.ts';
import { useShop } from './shop.ts';
import { useStored } from '../composables/useStored.ts';
import type { Kept } from '../kept/shapes.ts';

/** The draft on this tablet, and which version of it the server is known to have. */
export type LocalDraft = Readonly<Kept['ratio.plan']>;

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
/** Answers by which nothing was decided. */
const UNDECIDED: readonly number[] = [401, 408, 429];
const SAVE_AFTER_MS = 400;
const RETRY_AFTER_MS = 4000;

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
  const shelf = useShop();
  const session = useSession();
  const batches = useBatches();
  const draft = useStored('ratio.plan', freshDraft());
  const conflict = shallowRef<Conflict | null>(null);
  /** What another tablet made of this draft while it was changed here. */
  const theirs = shallowRef<Draft | null>(null);
  const plan = computed<Plan>(() => draft.value.plan);
  /** The plan as its batch remembers it. */
  const startingPlan = computed<Plan>(() =>
    draft.value.scooped ? { ...plan.value, scooped: true } : plan.value,
  );
  const coffee = computed(() => shelf.coffeeOf(plan.value.coffeeId) ?? shelf.brewable[0]!);

  /** What the model takes for the plan's coffee. */
  const model = computed(() => shelf.modelFor(coffee.value));
  const solve = (of: Plan, targets: TargetPair): BrewSolution =>
    solveBrew(brewSetting(of), targets, model.value);
  /** Every amount of the draft as it is. */
  const amounts = computed(() => brewAmounts(brewSetting(plan.value), plan.value, model.value));

  function commit(part: Partial<LocalDraft>): void {
    conflict.value = null;
    draft.value = { ...draft.value, ...part, unsaved: true };
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

  const saving = ref<'saved' | 'saving' | 'offline' | 'refused'>('saved');
  /** Why the server refused it. */
  const refusal = ref('');
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function save(): Promise<void> {
    // Who only pours keeps a draft on this tablet.
    if (!draft.value.unsaved || theirs.value || !session.can('brews')) return;
    const { id, version, unsaved: _, ...body } = draft.value;
    saving.value = 'saving';
    try {
      const saved = await ask<Draft>(`/api/drafts/${id}`, { method: 'PUT', body, version });
      saving.value = 'saved';
      if (draft.value.id !== id) return;
      // Typed on meanwhile? Then what was typed still has to be saved.
      const { id: __, version: ___, unsaved: ____, ...now } = draft.value;
      const still = JSON.stringify(now) !== JSON.stringify(body);
      draft.value = { ...draft.value, version: saved.version, unsaved: still };
    } catch (error) {
      await notSaved(error);
    }
  }

  async function notSaved(error: unknown): Promise<void> {
    const problem = error instanceof RequestProblem ? error.problem : null;
    const current = problem?.current as Draft | null | undefined;
    if (current) {
      theirs.value = current;
      saving.value = 'saved';
    } else if (problem && (problem.code === 'already_exists' || problem.status === 412)) {
      await letGo();
    } else if (problem && problem.status < 500 && !UNDECIDED.includes(problem.status)) {
      saving.value = 'refused';
      refusal.value = problem.detail;
    } else {
      saving.value = 'offline';
      timer = setTimeout(() => void save(), RETRY_AFTER_MS);
    }
  }
  /** Lets go of a draft that is a batch by now; what was typed since is another one. */
  function letGoOfStarted(): boolean {
    const started = batches.withId(draft.value.id);
    if (!started) return false;
    if (isEqual(started.plan, startingPlan.value)) restart();
    else renewed();
    return true;
  }
  /** The same of a draft that the server has no more: its batches say whether it is one of them. */
  async function letGo(): Promise<void> {
    const { id } = draft.value;
    await batches.load().catch(() => undefined);
    if (draft.value.id === id && !letGoOfStarted()) renewed();
  }
  /** What is on the bench under an identity of its own. */
  function renewed(): void {
    theirs.value = null;
    draft.value = { ...draft.value, id: newId(), version: 0 };
  }

  watch(draft, ({ unsaved }) => {
    clearTimeout(timer);
    if (unsaved) timer = setTimeout(() => void save(), SAVE_AFTER_MS);
  });

  /** A plan with the first coffee of the shelf, and the smallest vessel that is free and holds it. */
  function withShelf(of: Plan): Plan {
    const needMl = slurryMl({ ...of, tempC: of.waterC });
    const free = shelf.steepers
      .filter(
        ({ id, brimMl, shaken }) =>
          vesselFit({ slurryMl: needMl, vesselMl: brimMl, shaken }).fit !== 'overflows' &&
          batches.inVessel(id, of, shelf.now.getTime()) === null &&
          batches.uncleaned(id) === null,
      )
      .toSorted((a, b) => a.brimMl - b.brimMl);
    return {
      ...of,
      coffeeId: shelf.coffees[0]?.id ?? USUAL_ID,
      vesselId: free[0]?.id ?? ANY_VESSEL_ID,
    };
  }
  function restart(): void {
    const fresh = freshDraft();
    const { shop } = shelf;
    conflict.value = null;
    theirs.value = null;
    saving.value = 'saved';
    if (!shop) return;
    const { coffeeId, vesselId, doseG } = fresh.plan;
    draft.value = {
      ...fresh,
      targets: [
        { key: 'ratio', value: shop.defaults.ratio },
        { key: 'doseG', value: doseG },
      ],
      plan: withShelf(usualPlan({ shop, coffeeId, vesselId, doseG })),
    };
  }

  const local = ({ savedAt: _, ...saved }: Draft): LocalDraft => ({ ...saved, unsaved: false });

  let loads = 0;
  /** Takes what the server has, unless something here is not saved yet. */
  async function load(): Promise<void> {
    loads += 1;
    const mine = loads;
    const drafts = await ask<Draft[]>('/api/drafts').catch((error: unknown) => {
      // The draft on this tablet is there without the server.
      if (error instanceof Unreachable) return null;
      throw error;
    });
    // An older answer that comes late knows a draft that was started meanwhile.
    if (mine !== loads) return;
    // The page was left before it heard of its own start, perhaps.
    if (letGoOfStarted()) return;
    const same = drafts?.find(({ id }) => id === draft.value.id);
    const isFresh = draft.value.version === 0 && !draft.value.unsaved;
    const open = drafts?.filter(({ id }) => !batches.withId(id));
    const found = same ?? (isFresh ? open?.[0] : undefined);
    if (!found) {
      // Another tablet started it: what is here is done.
      if (drafts !== null && draft.value.version > 0) {
        if (draft.value.unsaved) await letGo();
        else restart();
      }
      return;
    }
    if (!draft.value.unsaved) {
      if (found.version !== draft.value.version || found.id !== draft.value.id)
        draft.value = local(found);
    } else if (found.version > draft.value.version) theirs.value = found;
    else await save();
  }

  return {
    draft,
    plan,
    startingPlan,
    coffee,
    model,
    amounts,
    conflict,
    theirs,
    saving,
    refusal,
    setAmount,
    change,
    commit,
    lock,
    takePlan,
    load,
    save,
    /** Settles a draft that two tablets changed: this one's, or the other one's. */
    settle(which: 'mine' | 'theirs'): void {
      const other = theirs.value;
      theirs.value = null;
      if (!other) return;
      draft.value =
        which === 'theirs'
          ? local(other)
          : { ...draft.value, version: other.version, unsaved: true };
    },
    /** A new plan by the shop’s defaults: nothing of the one before is in it. */
    restart,
    /** Gives a plan that has none yet a coffee and a vessel, so that a page always shows both. */
    fillIn(): void {
      if (plan.value.coffeeId !== '' && plan.value.vesselId !== '') return;
      draft.value = { ...draft.value, plan: withShelf(plan.value) };
    },
  };
});
