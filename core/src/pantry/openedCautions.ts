import type { Ingredient } from './ingredients.ts';
import { dayAndDate } from '../calendar/writeTime.ts';
import type { Caution } from '../caution.ts';
import { openLife } from './openLife.ts';

/** Since when something stands open, by the id of what it is. */
export type OpenedAt = Readonly<Record<string, string>>;

/**
 * Cautions about ingredients that stand open: those past their last day.
 *
 * @param input.poured what a drink is made of
 * @param input.openedAt ISO instants, by ingredient id; what is not in it is not open
 * @param input.today the shop's date, as 2026-06-13
 */
export function openedCautions(input: {
  poured: readonly Ingredient[];
  openedAt: OpenedAt;
  today: string;
  zone: string;
}): Caution[] {
  const { poured, openedAt, today, zone } = input;
  return poured.flatMap(({ id, name, openedDays, mark }) => {
    const life = openLife({ at: openedAt[id], openedDays, today, zone });
    if (!life || life.daysLeft >= 0) return [];
    const [done, again] =
      mark === 'ours' ? ['made', 'Make it again'] : ['opened', 'Open a new one'];
    const since = dayAndDate({ atMs: life.at.getTime(), zone });
    const last = dayAndDate({ atMs: Date.parse(`${life.lastDay}T12:00:00Z`), zone: 'UTC' });
    const text = `${name} was ${done} ${since} and was for use until ${last}. ${again}; the local food code decides.`;
    return [{ code: 'past_open_life', severity: 'warn' as const, text }];
  });
}
