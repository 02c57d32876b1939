import type { Batch } from '@ratio/core/batch';
import type { StepState } from '@ratio/core/steps';
import { computed, watch, type Ref } from 'vue';
import type { Noted, useBench } from './useBench.ts';
import type { useFilling } from './useFilling.ts';
import type { useStepValue } from './useStepValue.ts';
import { duration } from '../format/index.ts';
import { useAmountFormat } from '../shop/index.ts';

/** So long after a step has changed a press is not meant for it. */
const BOUNCE_MS = 700;

/** A press this long before its time says so. */
const EARLY_MS = 10 * 60_000;

/** The one large button of a bench: what it says, what a press of it notes, and the way back. */
export function useLargeButton(input: {
  batch: Readonly<Ref<Batch>>;
  bench: ReturnType<typeof useBench>;
  measured: ReturnType<typeof useStepValue>;
  filling: ReturnType<typeof useFilling>;
  /** What the first field is called that is refused; null where all are understood. */
  refused: Readonly<Ref<string | null>>;
  leave: () => void;
}) {
  const { batch, bench, measured, filling, refused, leave } = input;
  const format = useAmountFormat();

  /** What the step in hand would note now; null where it cannot. */
  const toNote = computed<Noted | null>(() => {
    const current = bench.inHand.value;
    if (!current) return null;
    const { note, place: to } = current.step;
    const instrumentId = measured.isLive.value ? (measured.instrument.value?.id ?? null) : null;
    const value = measured.value.value;
    switch (note) {
      case 'poured':
        return value === null || value <= 0
          ? null
          : { kind: 'poured', massG: value, tempC: batch.value.plan.waterC, instrumentId };
      case 'weighed':
      case 'rinsed':
      case 'came-out':
        return value === null || value <= 0 ? null : { kind: note, massG: value, instrumentId };
      case 'read':
        return value === null || value <= 0
          ? null
          : { kind: 'read', strengthFrac: value, instrumentId };
      case 'moved':
        return to === null ? { kind: 'done' } : { kind: 'moved', place: to.place, tempC: to.tempC };
      case 'agitated':
        return { kind: 'agitated' };
      case 'done':
        return { kind: 'done' };
      // Filling is a strain: it is written by itself.
      default:
        return null;
    }
  });
  const button = computed(() => {
    const current = bench.inHand.value;
    if (!current) return { text: 'All done: back to Steep', isOff: false };
    if (current.state === 'noted')
      return current.noted
        ? { text: 'Take it back', isOff: false }
        : { text: 'It is in its jugs', isOff: true };
    if (refused.value !== null) return { text: `Mend “${refused.value}” first`, isOff: true };
    if (current.step.note === 'filled') return filling.button.value;
    if (measured.waitsFor.value !== '') return { text: measured.waitsFor.value, isOff: true };
    const value = measured.value.value;
    if (toNote.value === null)
      return {
        text: current.step.note === 'read' ? 'Type what it reads' : 'Type what it weighs',
        isOff: true,
      };
    const after = bench.progress.value.states.find(({ state }) => state === 'next');
    const wait = after?.step.waitS ?? 0;
    const then = wait > 0 && wait < 600 ? `: wait ${Math.round(wait / 60)} min` : '';
    const earlyMs = current.step.atS === null ? 0 : (current.dueMs ?? 0) - bench.nowMs.value;
    if (earlyMs > EARLY_MS)
      return {
        text: `${current.step.title} now: ${duration(Math.round(earlyMs / 60_000))} early`,
        isOff: false,
      };
    if (measured.kind.value === null)
      return { text: `${current.step.button}${then}`, isOff: false };
    const says =
      current.step.note === 'read' ? format.value.percent(value!) : format.value.mass(value!);
    return { text: `${current.step.button} ${says}${then}`, isOff: false };
  });

  /** When the step in hand last became another one: by a press here, or on another tablet. */
  let changedMs = -Infinity;
  watch(
    () => bench.inHand.value?.step.key,
    () => (changedMs = performance.now()),
    { flush: 'sync' },
  );
  /** A wet thumb, a bouncing pedal, a press that was meant for the step before: none of them is a step. */
  const isTooSoon = (): boolean => performance.now() - changedMs < BOUNCE_MS;
  async function press(): Promise<void> {
    if (isTooSoon() || button.value.isOff) return;
    changedMs = performance.now();
    const current = bench.inHand.value;
    if (!current) return leave();
    if (current.state === 'noted') return bench.takeBack(current);
    if (current.step.note === 'filled') return filling.fill();
    if (toNote.value) await bench.done(toNote.value);
  }
  const backTo = computed<StepState | null>(() => {
    const { last } = bench.progress.value;
    return last?.noted ? last : null;
  });
  async function back(): Promise<void> {
    if (isTooSoon() || !backTo.value) return;
    changedMs = performance.now();
    await bench.takeBack(backTo.value);
  }

  return { button, press, backTo, back };
}
