import { CONSTANTS } from '../constants.ts';

/** When a drink tastes as it was meant, minutes after pouring. */
export interface DrinkingWindow {
  readonly fromMinutes: number;
  readonly toMinutes: number;
}

/**
 * The stretch of time around the target's minute in which the strength stays near it.
 *
 * @param input.timeline points in ascending minutes
 * @param input.strengthFrac the strength that is meant, above 0
 * @param input.atMinutes the minute that it is meant for
 * @returns null where the drink is off at that very minute; at most the whole timeline
 */
export function drinkingWindow(input: {
  timeline: readonly { minutes: number; strengthFrac: number }[];
  strengthFrac: number;
  atMinutes: number;
}): DrinkingWindow | null {
  const { timeline, strengthFrac, atMinutes } = input;
  const off = (point: { strengthFrac: number }) =>
    Math.abs(point.strengthFrac / strengthFrac - 1) - CONSTANTS.windowFrac.value;
  const stretches: { fromMinutes: number; toMinutes: number }[] = [];
  for (let i = 0; i + 1 < timeline.length; i++) {
    const [a, b] = [timeline[i]!, timeline[i + 1]!];
    const [offA, offB] = [off(a), off(b)];
    if (offA > 0 && offB > 0) continue;
    const crossing = a.minutes + ((b.minutes - a.minutes) * offA) / (offA - offB || 1);
    const fromMinutes = offA > 0 ? crossing : a.minutes;
    const toMinutes = offB > 0 ? crossing : b.minutes;
    const before = stretches.at(-1);
    if (before && before.toMinutes === fromMinutes) before.toMinutes = toMinutes;
    else stretches.push({ fromMinutes, toMinutes });
  }
  return (
    stretches.find((one) => one.fromMinutes <= atMinutes && one.toMinutes >= atMinutes) ?? null
  );
}
