import { LOG_PAGE, type LogQuery } from '@ratio/core/log';
import { percentText } from '@ratio/core/units';
import { useDebounceFn } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useLog } from './log.ts';
import { logAddress, readLogAddress } from './logAddress.ts';
import { useBatches } from '../events/index.ts';
import { authorOf, dateAndTime } from '../format/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { useLoaded } from '../sync/index.ts';

/** One line of the log as it is shown. */
export interface LogLine {
  readonly id: string;
  readonly date: string;
  readonly coffee: string;
  readonly vessel: string;
  readonly grind: string;
  readonly ratio: string;
  readonly hours: string;
  readonly expected: string;
  readonly found: string;
  readonly off: string;
  readonly isOutside: boolean;
  readonly brew: string;
  readonly by: string;
}

/** Lines of a page on the screen: half of an answer's, as a table takes long to put up more of them. */
const LINES = LOG_PAGE / 2;

/** The log as the address asks for it, so that a view can be kept and sent. */
export function useLogPage() {
  const log = useLog();
  const shop = useShop();
  const batches = useBatches();
  const format = useAmountFormat();
  const route = useRoute();
  const router = useRouter();

  const asked = computed(() => readLogAddress(route.query));
  const query = computed(() => asked.value.query);
  /** What the address asks for that there is not. */
  const wrong = computed(() => asked.value.wrong);
  function change(part: Partial<LogQuery>): void {
    void router.replace({ query: logAddress({ ...query.value, page: 1, ...part }) });
  }
  const typed = ref(query.value.text);
  const seek = useDebounceFn(() => change({ text: typed.value.trim() }), 200);
  watch(typed, () => void seek());

  const { loaded, state, failure, load } = useLoaded(async () => {
    const first = (query.value.page - 1) * LINES;
    const answer = await log.page({ ...query.value, page: Math.floor(first / LOG_PAGE) + 1 });
    const at = first % LOG_PAGE;
    return { rows: answer.rows.slice(at, at + LINES), total: answer.total };
  });
  const rows = computed(() => loaded.value?.rows ?? []);
  const total = computed(() => loaded.value?.total ?? 0);
  watch([query, () => batches.batches], load, { immediate: true });

  const lines = computed<LogLine[]>(() =>
    rows.value.map((row) => {
      const { foundFrac, predictedFrac, lowFrac, highFrac } = row;
      const off = foundFrac === null ? null : foundFrac / predictedFrac - 1;
      return {
        id: row.id,
        date: dateAndTime({ at: new Date(row.startedAt), zone: shop.zone }),
        coffee: row.coffeeName,
        vessel: row.vesselName,
        grind: row.grind,
        ratio: `1:${(row.waterG / row.doseG).toFixed(1)}`,
        hours: row.hours === null ? row.status : `${row.hours.toFixed(1)} h`,
        expected: `${percentText(predictedFrac)} (${(100 * lowFrac).toFixed(1)} to ${(100 * highFrac).toFixed(1)})`,
        found: foundFrac === null ? '–' : percentText(foundFrac),
        off: off === null ? '' : `${off < 0 ? '−' : '+'}${Math.abs(100 * off).toFixed(1)} %`,
        isOutside: foundFrac !== null && (foundFrac < lowFrac || foundFrac > highFrac),
        brew: row.brewG === null ? '–' : format.value.mass(row.brewG),
        by: authorOf(row),
      };
    }),
  );
  return {
    query,
    wrong,
    typed,
    change,
    lines,
    total,
    pages: computed(() => Math.max(1, Math.ceil(total.value / LINES))),
    state,
    failure,
    load,
    coffees: computed(() => [
      { value: '', label: 'every coffee' },
      ...[
        ...new Set([
          ...shop.coffees.map(({ name }) => name),
          ...rows.value.map(({ coffeeName }) => coffeeName),
        ]),
      ].map((name) => ({ value: name, label: name })),
    ]),
  };
}
