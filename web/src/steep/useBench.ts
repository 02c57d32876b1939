import type { StepState } from '@ratio/core/steps';
import { runningSteep, type Batch, type NoteRequest } from '@ratio/core/batch';
import { computed, ref, type Ref } from 'vue';
import { useBatches, useProgress } from '../events/index.ts';
import { useSecondsMs, useShop } from '../shop/index.ts';
import { newId, sentenceOf, useNotice } from '../sync/index.ts';
import { smallPhotograph } from '../ui/browser/index.ts';

/** What is asked about something that happened beside the steps. */
export type AskedBeside =
  'read' | 'temperature' | 'decanted' | 'split' | 'spilled' | 'abandoned' | 'remarked';

/** What a note of a step holds, but who it is and when. */
export type Noted = NoteRequest extends infer R
  ? R extends unknown
    ? Omit<R, 'id' | 'at' | 'step' | 'note' | 'instrumentId'> & {
        note?: string;
        instrumentId?: string | null;
      }
    : never
  : never;

const RUN_EVERY_MS = 30_000;

/** A batch at the bench: its steps, the one in hand, and what presses and taps note. */
export function useBench(batch: Readonly<Ref<Batch>>) {
  const shop = useShop();
  const batches = useBatches();
  const notice = useNotice();
  const nowMs = useSecondsMs();
  const observations = computed(() => batches.observationsOf(batch.value.id));
  const progressAt = useProgress();
  const progress = computed(() => progressAt(batch.value, nowMs.value));
  /** The step that somebody tapped; null for the one that is due. */
  const pickedKey = ref<string | null>(null);
  const inHand = computed<StepState | null>(() => {
    const { states, now } = progress.value;
    return states.find(({ step }) => step.key === pickedKey.value) ?? now;
  });

  const halfMinute = computed(() => Math.floor(nowMs.value / RUN_EVERY_MS) * RUN_EVERY_MS);
  /** As it was until now and will be; of a batch that is over, as it was at its strain. */
  const running = computed(() => {
    const { strainedAt, startedAt } = batch.value;
    const atMs = strainedAt ? Date.parse(strainedAt) : halfMinute.value;
    return runningSteep({
      batch: batch.value,
      observations: observations.value,
      probes: batches.inFull.get(batch.value.id)?.probes ?? [],
      nowMs: Math.max(atMs, Date.parse(startedAt) + 1000),
    });
  });

  const nowIso = (): string => new Date(shop.readMs()).toISOString();
  async function write(request: NoteRequest, what: string): Promise<boolean> {
    try {
      await batches.note(batch.value.id, request, `${batch.value.coffeeName}: ${what}`);
      return true;
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
      await batches.loadInFull(batch.value.id).catch(() => undefined);
      return false;
    }
  }
  const noteOf = (noted: Noted, step: string | null): NoteRequest =>
    ({
      note: '',
      instrumentId: null,
      ...noted,
      id: newId(),
      at: nowIso(),
      step,
    }) as NoteRequest;

  return {
    nowMs,
    observations,
    progress,
    inHand,
    running,
    /** Looks at a step, or back at the one that is due. */
    pick: (key: string | null): void =>
      void (pickedKey.value = key === progress.value.now?.step.key ? null : key),
    /** Notes the step in hand, and goes on. */
    async done(noted: Noted): Promise<void> {
      const state = inHand.value;
      if (!state) return;
      pickedKey.value = null;
      await write(noteOf(noted, state.step.key), state.step.title);
    },
    /** Notes something beside the steps. */
    beside: (noted: Noted, what: string): Promise<boolean> => write(noteOf(noted, null), what),
    photos: computed(() => batches.inFull.get(batch.value.id)?.photos ?? []),
    photosWaiting: computed(() => batches.photosWaiting(batch.value.id)),
    async photograph(file: File): Promise<void> {
      try {
        const { id, coffeeName } = batch.value;
        const photo = await smallPhotograph(file);
        const isSent = await batches.keepPhoto(id, photo, `Photograph of ${coffeeName}`);
        const text = isSent
          ? 'The photograph is kept with the batch.'
          : 'The photograph is kept on this tablet until the server answers.';
        notice.say({ tone: 'done', text });
      } catch (error) {
        notice.say({ tone: 'wrong', text: `The photograph is not kept. ${sentenceOf(error)}` });
      }
    },
    /** A share of it steeps on in another vessel. */
    async split(input: { vesselId: string; shareFrac: number; note: string }): Promise<void> {
      try {
        const what = `${batch.value.coffeeName}: split`;
        await batches.split(batch.value.id, { ...input, id: newId(), at: nowIso() }, what);
        notice.say({
          tone: 'done',
          text: 'It steeps in two vessels now, each with its own steps.',
        });
      } catch (error) {
        notice.say({ tone: 'wrong', text: sentenceOf(error) });
      }
    },
    /** Takes back what was noted beside the steps. */
    undoNote: (id: string): Promise<boolean> =>
      write(noteOf({ kind: 'undone', undoes: id }, null), 'taken back'),
    /** Takes a noted step back; it is in hand again. */
    async takeBack(state: StepState): Promise<void> {
      if (!state.noted) return;
      pickedKey.value = null;
      const undone = { kind: 'undone' as const, undoes: state.noted.id };
      await write(noteOf(undone, null), `${state.step.title}, taken back`);
    },
  };
}
