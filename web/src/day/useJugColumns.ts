import { coffeeOf } from '@ratio/core/matter';
import { percentText } from '@ratio/core/units';
import { computed } from 'vue';
import type { DayJug } from './dayColumn.ts';
import type { DayShown } from './useDayShown.ts';
import type { Supply } from './useSupply.ts';
import { onHandMl, useJugs } from '../events/index.ts';
import { cssColour, timeOfDay } from '../format/index.ts';
import { useAmountFormat } from '../shop/index.ts';

const HOUR_MS = 3_600_000;

/** Jugs that thin out as they are poured, from now to the end of the shown day, the oldest first. */
export function useJugColumns(shown: DayShown, supply: Supply) {
  const jugs = useJugs();
  const format = useAmountFormat();

  const columns = computed<DayJug[]>(() => {
    const { forecast } = supply;
    if (shown.offset.value < 0) return [];
    const nowMs = shown.minuteMs.value;
    const nowHours = shown.hoursAt(nowMs);
    const from = Math.max(0, nowHours);
    const hours = [from, ...Array.from({ length: 24 }, (_, i) => i + 1).filter((at) => at > from)];
    const mostG = Math.max(1, ...jugs.onHand.map(({ onHandG }) => onHandG));
    const takenAt = (atHours: number): number =>
      forecast.value?.neededG({ fromMs: nowMs, toMs: nowMs + (atHours - nowHours) * HOUR_MS }) ?? 0;
    const taken = hours.map(takenAt);
    let beforeG = 0;
    return jugs.onHand.map((jug) => {
      const left = hours.map((atHours, i) => ({
        atHours,
        frac: Math.min(jug.onHandG, Math.max(0, jug.onHandG + beforeG - taken[i]!)) / mostG,
      }));
      beforeG += jug.onHandG;
      const outMs = supply.empty.value.find((one) => one.jug.id === jug.id)?.out?.atMs ?? null;
      const outHours = outMs === null ? Infinity : shown.hoursAt(outMs);
      const isGone = outHours >= 0 && outHours < 24;
      // The corner at which it is empty lies between two hours.
      if (isGone) left.push({ atHours: outHours, frac: 0 });
      return {
        id: jug.id,
        label: jug.label,
        colour: cssColour(coffeeOf({ massG: 1, strengthFrac: jug.strengthFrac })),
        left: left.toSorted((a, b) => a.atHours - b.atHours),
        isGone,
        text: isGone
          ? `empty ${timeOfDay(outHours)}`
          : `${format.value.volume(onHandMl({ ...jug, onHandG: left.at(-1)!.frac * mostG }))} left`,
        title: `${jug.label}, ${percentText(jug.strengthFrac, 1)}`,
      };
    });
  });
  return { columns };
}
