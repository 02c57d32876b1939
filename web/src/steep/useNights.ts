import { crewWindows, type RunningSteep } from '@ratio/core/batch';
import { computed, type Ref } from 'vue';
import { useShop } from '../shop/index.ts';

/** Hours of a steep in which nobody is in. */
export function useNights(running: Readonly<Ref<RunningSteep>>) {
  const shop = useShop();
  return computed(() => {
    const { document: details } = shop;
    const horizonHours = running.value.curve.at(-1)!.hours;
    if (!details) return [];
    const windows = crewWindows({
      startMs: running.value.beganMs,
      zone: details.zone,
      horizonHours,
      crew: { fromHours: details.crewFromHours, toHours: details.crewToHours },
    });
    let fromHours = 0;
    const nights = windows.map((window) => {
      const night = { fromHours, toHours: window.fromHours };
      fromHours = window.toHours;
      return night;
    });
    return [...nights, { fromHours, toHours: horizonHours }].filter(
      (night) => night.toHours > night.fromHours,
    );
  });
}
