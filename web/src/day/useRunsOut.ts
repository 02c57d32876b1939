import { vesselNameOf } from '@ratio/core/batch';
import { wallMs } from '@ratio/core/calendar';
import { drinksLeft } from '@ratio/core/drink';
import { computed } from 'vue';
import type { DayShown } from './useDayShown.ts';
import type { Supply } from './useSupply.ts';
import { useDrinks, useMenuCount } from '../drink/index.ts';
import { useJugs } from '../events/index.ts';
import { clockTime, fromNow, soonTime } from '../format/index.ts';
import { useShop } from '../shop/index.ts';

const WEEKDAYS = [
  'Sundays',
  'Mondays',
  'Tuesdays',
  'Wednesdays',
  'Thursdays',
  'Fridays',
  'Saturdays',
];
/** A busy day is named where it ends so much earlier. */
const BUSY_MS = 3 * 3_600_000;
/** Drinks that are named as what is left. */
const NAMED = 3;

/** Which jug is empty first, by the pace of the shop, in words. */
export function useRunsOut(shown: DayShown, supply: Supply) {
  const shop = useShop();
  const drinks = useDrinks();
  const jugs = useJugs();
  const at = (ms: number): string => clockTime({ at: new Date(ms), zone: shop.zone });
  /** Of today the hour alone. */
  const hour = (ms: number): string =>
    soonTime({ at: new Date(ms), now: shop.now, zone: shop.zone });

  const first = computed(() => {
    const [next] = supply.empty.value;
    if (!next) return null;
    const { jug, out } = next;
    return {
      label: jug.label,
      at: out?.atMs == null ? null : hour(out.atMs),
      when: out?.atMs == null ? '' : fromNow({ at: new Date(out.atMs), now: shop.now }),
      range:
        out?.lowMs == null || out.highMs === null
          ? ''
          : `${hour(out.lowMs)} to ${hour(out.highMs)}`,
    };
  });
  const pace = computed(() => {
    const { forecast } = supply;
    if (forecast.value === null) return '';
    const { days, today } = forecast.value;
    const weekday =
      WEEKDAYS[new Date(wallMs({ atMs: shown.minuteMs.value, zone: shop.zone })).getUTCDay()]!;
    const by =
      days > 1
        ? `From the last ${days} ${weekday} and today so far`
        : 'From what was poured so far';
    return `${by}: ${Math.round(today.low)} to ${Math.round(today.high)} drinks today.`;
  });
  const whole = computed(() => {
    const all = supply.allGone.value;
    if (!all || all.atMs === null) return '';
    const before = supply.arrivals.value.filter(({ atMs }) => atMs < all.atMs!);
    const coming = before
      .map(({ batch, atMs }) => `${vesselNameOf(batch)} at ${hour(atMs)}`)
      .join(' and ');
    const until = `all is gone ${at(all.atMs)}`;
    const busy =
      all.lowMs !== null && all.atMs - all.lowMs > BUSY_MS
        ? `; on a busy day ${at(all.lowMs)}`
        : '';
    return `${coming === '' ? 'Then' : `With ${coming},`} ${until}${busy}.`;
  });
  const drawn = useMenuCount('draws', () => jugs.onHand);
  const inAll = (id: string): number =>
    jugs.onHand.reduce((sum, { onHandG }, i) => {
      const eachG = drawn.value?.[i]?.get(id) ?? null;
      return sum + drinksLeft({ eachG, onHandG });
    }, 0);
  /** How many of the most asked for drinks all jugs hold. */
  const left = computed(() =>
    (drawn.value ? drinks.drinks : [])
      .toSorted((a, b) => b.weekCount - a.weekCount)
      .slice(0, NAMED)
      .map(({ id, name }) => ({ id, name, count: inAll(id) }))
      .filter(({ count }) => Number.isFinite(count)),
  );
  return {
    first,
    pace,
    whole,
    left,
  };
}
