import { batchCalendar, type CalendarEntry } from '@ratio/core/day';
import { dateAfter, localDate } from '@ratio/core/calendar';
import { until } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useDayShown, useDays, useNextBatch, useSupply, useToMake } from '../day/index.ts';
import { useBatches, useJugs } from '../events/index.ts';
import { dateName, hourTime } from '../format/index.ts';
import { usePantry } from '../pantry/index.ts';
import { useShop } from '../shop/index.ts';

const DAYS = 7;
/** What a week's sheet names of a batch. */
const NAMED: readonly CalendarEntry['key'][] = ['strain', 'agitate', 'filter'];

/** The week from today: what is expected, what is to be done on each day. */
export function useWeek() {
  const shop = useShop();
  const batches = useBatches();
  const jugs = useJugs();
  const days = useDays();
  const pantry = usePantry();
  const shown = useDayShown();
  const supply = useSupply(shown);
  const { advice } = useNextBatch(shown, supply);
  const { makes, needs } = useToMake(shown);
  const dates = computed(() => Array.from({ length: DAYS }, (_, i) => dateAfter(days.today, i)));
  const dateOf = (atMs: number): string => localDate({ atMs, zone: shop.zone });
  const at = (ms: number): string => hourTime({ at: new Date(ms), zone: shop.zone });

  const entries = computed(() => {
    const { crewFromHours: fromHours = 0, crewToHours: toHours = 24 } = shop.document ?? {};
    return batches.steeping.flatMap((batch) =>
      batchCalendar({ batch, zone: shop.zone, crew: { fromHours, toHours } }).filter(({ key }) =>
        NAMED.some((named) => key.startsWith(named)),
      ),
    );
  });
  const week = computed(() =>
    dates.value.map((date, i) => {
      const expected = i === 0 ? supply.forecast.value?.today : supply.forecast.value?.onDate(date);
      return {
        date,
        title: dateName(date),
        expected:
          expected === undefined || expected === null
            ? '–'
            : `${Math.round(expected.low)} to ${Math.round(expected.high)}`,
        hands: entries.value
          .filter(({ startMs }) => dateOf(startMs) === date)
          .toSorted((a, b) => a.startMs - b.startMs)
          .map(({ startMs, title }) => `${at(startMs)} ${title}`),
        make:
          i === 0
            ? makes.value.map(({ name, note }) => `${name}, ${note}`)
            : Object.values(pantry.resolved.made).flatMap(({ ingredient }) =>
                pantry.lifeOf(ingredient.id)?.lastDay === date ? [`${ingredient.name} again`] : [],
              ),
        useBy: [
          ...jugs.onHand
            .filter(({ useBy }) => dateOf(Date.parse(useBy)) === date)
            .map(({ label }) => label),
          ...pantry.opened.flatMap(({ id }) =>
            pantry.lifeOf(id)?.lastDay === date ? [pantry.pantry[id]?.name ?? id] : [],
          ),
        ],
      };
    }),
  );
  const gone = computed(() => {
    const all = supply.allGone.value;
    return all?.atMs == null ? null : { date: dateOf(all.atMs), at: at(all.atMs) };
  });
  const isRead = ref(false);
  void Promise.all([supply.read, until(needs).not.toBeNull()]).then(() => (isRead.value = true));
  return { week, advice, gone, isRead, shop: computed(() => shop.document) };
}
