import { dateAfter, wallMs } from '@ratio/core/calendar';
import { computed, ref } from 'vue';
import { useDays } from './days.ts';
import { dateName } from '../format/index.ts';
import { useShop } from '../shop/index.ts';

const HOUR_MS = 3_600_000;
/** A day back, and a week ahead. */
const RANGE = { min: -1, max: 7 } as const;

/** The day that is shown: today, or one beside it, on the wall clock of the shop. */
export function useDayShown() {
  const shop = useShop();
  const days = useDays();
  const offset = ref(0);
  // Not at each tick: everything on the page follows from it.
  const minuteMs = computed(() => Math.floor(shop.now.getTime() / 60_000) * 60_000);
  const date = computed(() => dateAfter(days.today, offset.value));

  return {
    offset,
    minuteMs,
    date,
    title: computed(() => dateName(date.value)),
    isToday: computed(() => offset.value === 0),
    canGo: (by: 1 | -1): boolean =>
      offset.value + by >= RANGE.min && offset.value + by <= RANGE.max,
    go: (by: number): void => {
      offset.value = Math.min(RANGE.max, Math.max(RANGE.min, offset.value + by));
    },
    /** Hours by the wall clock from the midnight that begins the shown day; beyond it below 0 and above 24. */
    hoursAt: (atMs: number): number =>
      (wallMs({ atMs, zone: shop.zone }) - Date.parse(`${date.value}T00:00:00Z`)) / HOUR_MS,
  };
}

export type DayShown = ReturnType<typeof useDayShown>;
