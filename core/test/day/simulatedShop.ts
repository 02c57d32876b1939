import { Temporal } from 'temporal-polyfill';
import { instantOf } from '../../src/calendar/localTime.ts';
import type { Pour } from '../../src/day/poursByDay.ts';
import { createRandom } from '../../src/numeric/random.ts';

/** Monday to Sunday, in drinks; how the day runs, by hours from opening at 08:00 to 20:00. */
const LEVELS = [70, 75, 80, 90, 120, 190, 160];
const HOURS = [2, 5, 7, 6, 8, 9, 8, 7, 6, 4, 2, 1];
const ZONE = 'Europe/Lisbon';

/** A made-up shop whose demand is known: what it pours on each day, pour by pour. */
export function simulatedShop(input: {
  seed: number;
  from: string;
  days: number;
  /** How much days differ from their weekday, relative to it. */
  dayCv: number;
  shutOn?: number;
}): Pour[] {
  const random = createRandom(input.seed);
  const pours: Pour[] = [];
  const whole = HOURS.reduce((sum, one) => sum + one, 0);
  for (let i = 0; i < input.days; i++) {
    const date = Temporal.PlainDate.from(input.from).add({ days: i });
    if (date.dayOfWeek === input.shutOn) continue;
    const factor = Math.max(0.2, 1 + input.dayCv * random.normal());
    const beginsMs = instantOf({ local: `${date.toString()}T08:00`, zone: ZONE })!;
    const fastest = (Math.max(...HOURS) * LEVELS[date.dayOfWeek - 1]! * factor) / whole;
    // Pours at random moments: thinned from the fastest hour's pace.
    let hours = 0;
    for (;;) {
      hours -= Math.log(1 - random.uniform()) / fastest;
      if (hours >= HOURS.length) break;
      if (random.uniform() * Math.max(...HOURS) > HOURS[Math.floor(hours)]!) continue;
      pours.push({ atMs: beginsMs + hours * 3_600_000, massG: 80 + 80 * random.uniform() });
    }
  }
  return pours;
}
