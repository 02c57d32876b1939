import type { Draft, Plan } from '@ratio/core/batch';
import { isEqual } from '@ratio/core/document';
import { useSessionStorage } from '@vueuse/core';
import { ref, shallowRef, watch, type Ref } from 'vue';
import { useBatches } from '../events/index.ts';
import {
  RequestProblem,
  Unreachable,
  ask,
  newId,
  useOutbox,
  useSession,
  type Kept,
} from '../sync/index.ts';

/** The draft on this tablet, and which version of it the server is known to have. */
export type LocalDraft = Readonly<Kept['ratio.plan']>;
type Body = Omit<LocalDraft, 'id' | 'version' | 'unsaved'>;

const SAVE_AFTER_MS = 400;

const bodyOf = ({ id: _, version: __, unsaved: ___, ...body }: LocalDraft): Body => body;
const localOf = ({ savedAt: _, ...saved }: Draft): LocalDraft => ({ ...saved, unsaved: false });
const holds = (saved: Draft, body: Body): boolean => isEqual(bodyOf(localOf(saved)), body);

/**
 * Keeps a draft on the server: it is written through the outbox after each pause, read again when another
 * tablet changes it, and gives way once it is started.
 *
 * @param input.startingPlan the plan as its batch would remember it
 * @param input.restart puts a new draft in its place
 */
export function useDraftSync(input: {
  draft: Ref<LocalDraft>;
  startingPlan: Readonly<Ref<Plan>>;
  restart: () => void;
}) {
  const { draft, startingPlan, restart } = input;
  const session = useSession();
  const batches = useBatches();
  const outbox = useOutbox();
  /** What another tablet made of this draft while it was changed here. */
  const theirs = shallowRef<Draft | null>(null);
  /** Why the server refused it; empty where it did not. */
  const refusal = ref('');
  /**
   * The draft that somebody changes in this tab. Tabs of a browser share what it stores: what another tab
   * has not saved yet was not typed here.
   */
  const typedId = useSessionStorage('ratio.typedDraft', '');

  /** What was written and not acknowledged: it may have reached the server all the same. */
  let unacknowledged: readonly Body[] = [];
  const isOwn = (saved: Draft): boolean => unacknowledged.some((body) => holds(saved, body));
  let isWriting = false;

  async function save(): Promise<void> {
    const { id, version, unsaved, plan } = draft.value;
    const hasBoth = plan.coffeeId !== '' && plan.vesselId !== '';
    // Who only pours keeps a draft on this tablet.
    if (!unsaved || !hasBoth || isWriting || theirs.value || !session.can('brews')) return;
    const body = bodyOf(draft.value);
    const path = `/api/drafts/${id}`;
    isWriting = true;
    unacknowledged = [...unacknowledged, body];
    refusal.value = '';
    try {
      const write = { method: 'PUT' as const, path, body, version, what: 'The plan' };
      await outbox.write<Draft>({ ...write, replaces: true }, take);
    } catch (error) {
      if (error instanceof RequestProblem) await refused(error.problem);
    } finally {
      isWriting = false;
    }
    // Somebody typed on meanwhile.
    if (refusal.value === '' && !isEqual(bodyOf(draft.value), body)) await save();
  }

  /** Takes the version of what the server has; what was typed since is still to be saved. */
  function take(saved: Draft): void {
    if (saved.id !== draft.value.id) return;
    unacknowledged = [];
    const unsaved = !holds(saved, bodyOf(draft.value));
    draft.value = { ...draft.value, version: saved.version, unsaved };
  }

  async function refused(problem: RequestProblem['problem']): Promise<void> {
    const current = problem.current as Draft | null | undefined;
    if (current) {
      // A write of this tab got through, and its answer did not.
      if (isOwn(current)) take(current);
      else theirs.value = current;
    } else if (problem.code === 'already_exists' || problem.status === 412) await giveWay();
    else refusal.value = problem.detail;
  }

  /** Replaces a draft that is a batch by now; what was typed here since is a draft of its own. */
  function giveWayToBatch(): boolean {
    const started = batches.withId(draft.value.id);
    if (!started) return false;
    const isTypedHere = typedId.value === draft.value.id;
    if (!isTypedHere || isEqual(started.plan, startingPlan.value)) restart();
    else renew();
    return true;
  }
  /** The same for a draft that the server does not have any more: its batches tell why. */
  async function giveWay(): Promise<void> {
    const { id } = draft.value;
    await batches.load().catch(() => undefined);
    if (draft.value.id === id && !giveWayToBatch()) renew();
  }
  /** Keeps what is typed under an identity of its own. */
  function renew(): void {
    theirs.value = null;
    typedId.value = newId();
    draft.value = { ...draft.value, id: typedId.value, version: 0 };
  }

  let timer: ReturnType<typeof setTimeout> | undefined;
  watch(draft, ({ unsaved }) => {
    clearTimeout(timer);
    if (unsaved) timer = setTimeout(() => void save(), SAVE_AFTER_MS);
  });

  let loads = 0;
  /** Reads what the server has, unless something here is not saved yet. */
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
    // The page may have been left before it heard of its own start.
    if (giveWayToBatch()) return;
    const { id, version, unsaved } = draft.value;
    const isFresh = version === 0 && !unsaved;
    const open = drafts?.filter((one) => !batches.withId(one.id));
    const found = drafts?.find((one) => one.id === id) ?? (isFresh ? open?.[0] : undefined);
    if (found) return takeFound(found);
    // Another tablet started it.
    if (drafts === null || version === 0) return;
    if (unsaved) await giveWay();
    else restart();
  }
  async function takeFound(found: Draft): Promise<void> {
    const { id, version, unsaved } = draft.value;
    if (!unsaved) {
      if (found.version !== version || found.id !== id) draft.value = localOf(found);
      return;
    }
    if (isOwn(found) || holds(found, bodyOf(draft.value))) take(found);
    else if (found.version > version) theirs.value = found;
    await save();
  }

  return {
    theirs,
    refusal,
    load,
    save,
    /** Somebody changed the draft here. */
    typed: (): void => void (typedId.value = draft.value.id),
    /** A new draft is in place: nothing of the one before is open. */
    forget(): void {
      theirs.value = null;
      refusal.value = '';
    },
    /** Settles a draft that two tablets changed: this one's, or the other one's. */
    settle(which: 'mine' | 'theirs'): void {
      const other = theirs.value;
      theirs.value = null;
      if (!other) return;
      draft.value =
        which === 'theirs'
          ? localOf(other)
          : { ...draft.value, version: other.version, unsaved: true };
    },
  };
}
