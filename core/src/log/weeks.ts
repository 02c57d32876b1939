import { Temporal } from 'temporal-polyfill';
import { z } from 'zod';
import { localDate } from '../calendar/localTime.ts';

/** What coffee cost in a week, and what of it was thrown away. */
export const weekSchema = z.object({
  /** Its Monday, by the shop's calendar. */
  date: z.iso.date(),
  batchCount: z.number().int(),
  doseG: z.number(),
  brewG: z.number(),
  /** Of the coffee, in the shop's money; null where a price is not known. */
  price: z.number().nullable(),
  discardedG: z.number(),
  /** What that had cost; null where nobody knows. */
  discardedPrice: z.number().nullable(),
});
export type Week = z.infer<typeof weekSchema>;

/**
 * Weeks of the shop: coffee that went in, brew that came out, what it cost, and what was thrown away.
 *
 * @param input.batches strained ones; pricePerKg of their coffee, null where it is not known
 * @param input.discarded out of jugs; pricePerKg of what was in them
 * @param input.zone IANA name
 * @returns weeks in which anything happened, the latest first
 */
export function weeksOf(input: {
  batches: readonly { atMs: number; doseG: number; brewG: number; pricePerKg: number | null }[];
  discarded: readonly { atMs: number; massG: number; pricePerKg: number | null }[];
  zone: string;
}): Week[] {
  const { batches, discarded, zone } = input;
  const weeks = new Map<string, Week>();
  const change = (atMs: number, part: (week: Week) => Partial<Week>): void => {
    const day = Temporal.PlainDate.from(localDate({ atMs, zone }));
    const date = day.subtract({ days: day.dayOfWeek - 1 }).toString();
    const week = weeks.get(date) ?? {
      date,
      batchCount: 0,
      doseG: 0,
      brewG: 0,
      price: 0,
      discardedG: 0,
      discardedPrice: 0,
    };
    weeks.set(date, { ...week, ...part(week) });
  };
  const plus = (sum: number | null, massG: number, pricePerKg: number | null): number | null =>
    sum === null || pricePerKg === null ? null : sum + (massG * pricePerKg) / 1000;
  for (const { atMs, doseG, brewG, pricePerKg } of batches)
    change(atMs, (week) => ({
      batchCount: week.batchCount + 1,
      doseG: week.doseG + doseG,
      brewG: week.brewG + brewG,
      price: plus(week.price, doseG, pricePerKg),
    }));
  for (const { atMs, massG, pricePerKg } of discarded)
    change(atMs, (week) => ({
      discardedG: week.discardedG + massG,
      discardedPrice: plus(week.discardedPrice, massG, pricePerKg),
    }));
  return [...weeks.values()].toSorted((a, b) => (a.date < b.date ? 1 : -1));
}
