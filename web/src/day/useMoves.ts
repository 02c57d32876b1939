import { vesselNameOf, type Batch } from '@ratio/core/batch';
import { instantOf, localHours } from '@ratio/core/calendar';
import { isWithin } from '@ratio/core/shop';
import { percentText } from '@ratio/core/units';
import { computed, ref, watch } from 'vue';
import type { DayShown } from './useDayShown.ts';
import { useBatches } from '../events/index.ts';
import { clockTime } from '../format/index.ts';
import { useDraft } from '../plan/index.ts';
import { useShop } from '../shop/index.ts';
import { newId, sentenceOf, useNotice } from '../sync/index.ts';

/** Hours that are dragged: the end of a running steep, which is asked before it is noted, and a planned start. */
export function useMoves(shown: DayShown) {
  const shop = useShop();
  const batches = useBatches();
  const drafts = useDraft();
  const notice = useNotice();
  const moved = ref<{ readonly id: string; readonly atHours: number } | null>(null);
  watch(shown.date, () => (moved.value = null));

  /** The instant of an hour of the shown day. */
  function instantAt(hours: number): number {
    const minutes = Math.min(Math.round(hours * 60), 24 * 60 - 1);
    const [h, m] = [Math.floor(minutes / 60), minutes % 60].map((part) =>
      String(part).padStart(2, '0'),
    );
    return instantOf({ local: `${shown.date.value}T${h}:${m}`, zone: shop.zone })!;
  }
  const at = (ms: number): string => clockTime({ at: new Date(ms), zone: shop.zone });
  const strengthAt = (batch: Batch, atMs: number): number =>
    batches.predictedStrain(batch, new Date(atMs).toISOString()).strengthFrac;
  const isManned = (atMs: number): boolean => {
    const { crewFromHours = 0, crewToHours = 24 } = shop.document ?? {};
    return isWithin(localHours({ atMs, zone: shop.zone }), {
      fromHours: crewFromHours,
      toHours: crewToHours,
    });
  };

  /** What a moved strain comes to; null while none is moved. */
  const asked = computed(() => {
    const batch = batches.steeping.find(({ id }) => id === moved.value?.id);
    if (!moved.value || !batch) return null;
    const toMs = instantAt(moved.value.atHours);
    const fromMs = Date.parse(batch.endsAt);
    return {
      batch,
      toMs,
      title: `Strain ${vesselNameOf(batch)} ${at(toMs)} instead of ${at(fromMs)}`,
      effect: `${percentText(strengthAt(batch, toMs))} instead of ${percentText(strengthAt(batch, fromMs))}`,
      isManned: isManned(toMs),
    };
  });
  async function move(): Promise<void> {
    const now = asked.value;
    if (!now) return;
    moved.value = null;
    const until = new Date(now.toMs).toISOString();
    const id = newId();
    try {
      await batches.note(
        now.batch.id,
        { id, kind: 'strain-moved', until, note: '', step: null, instrumentId: null },
        now.title,
      );
      notice.say({
        tone: 'done',
        text: `${now.title}.`,
        undo: () =>
          batches.note(
            now.batch.id,
            { id: newId(), kind: 'undone', undoes: id, note: '', step: null, instrumentId: null },
            'The strain as it was',
          ),
      });
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    }
  }

  return {
    moved,
    asked,
    move,
    leave: (): void => void (moved.value = null),
    moveEnd: (id: string, atHours: number): void => void (moved.value = { id, atHours }),
    moveStart: (atHours: number): void => {
      const ms = Math.max(instantAt(atHours), shop.now.getTime());
      drafts.commit({ startAt: new Date(ms).toISOString() });
    },
  };
}
