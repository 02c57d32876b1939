import {
  PACE_DAYS,
  poursByDay,
  poursOf,
  type DayPours,
  type DayRow,
  type DayRowRequest,
} from '@ratio/core/day';
import type { Caller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { answered } from '../database/rows.ts';
import { ProblemError } from '../problem.ts';
import { isRepeat, momentOnce } from '../repeatedRow.ts';

/** The notes of a day, and the pours of each. */
export interface DayService {
  /** What was poured on each of the last weeks' days, by quarters of an hour. */
  readonly pours: (caller: Caller) => Promise<DayPours[]>;
  /** What was written down of a day, in the order of writing. */
  readonly rows: (caller: Caller, date: string) => Promise<DayRow[]>;
  /** Writes something down of a day; sent again with the same id it counts once. */
  readonly add: (
    caller: Caller,
    input: { date: string; request: DayRowRequest },
  ) => Promise<DayRow[]>;
}

interface Needs {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
}

const DAY_MS = 86_400_000;
const POURED = ['poured', 'counted', 'corrected', 'undone'];
const NOTHING_SAID = { list: null, item: '', note: '', price: null, undoes: null };

/** @returns the use cases of a day */
export function createDayService({ db, clock, changes }: Needs): DayService {
  const { dayRows, jugEntries, shops, write } = db;

  async function rows({ shopId }: Caller, date: string): Promise<DayRow[]> {
    const all = await dayRows.about(shopId, date);
    const undone = new Set(all.map(({ undoes }) => undoes));
    return all.map((row) => ({ ...answered(row), undone: undone.has(row.id) }));
  }

  return {
    rows,

    pours: async ({ shopId }) => {
      const { zone } = await shops.get(shopId, shopId);
      const from = new Date(clock.now().getTime() - PACE_DAYS * DAY_MS).toISOString();
      const entries = await jugEntries.since(shopId, { from });
      // A batch that leaves its grounds is counted by nobody.
      const isSaid = ({ kind, request }: (typeof entries)[number]): boolean =>
        POURED.includes(kind) && (kind !== 'counted' || request !== null);
      const pours = poursOf(entries.filter(isSaid));
      return poursByDay({ pours, zone });
    },

    add: async (caller, { date, request }) => {
      const { shopId } = caller;
      const { at, ...said } = request;
      await write(async (transaction) => {
        const before = await dayRows.find(shopId, request.id, transaction);
        const row = { ...NOTHING_SAID, ...said, date, at: momentOnce({ clock, at, before }) };
        if (isRepeat(before, row)) return;
        if (request.kind === 'undone') {
          const undone = await dayRows.find(shopId, request.undoes, transaction);
          if (undone?.date !== date)
            throw new ProblemError('not_found', 'What is taken back was not written of this day.');
        }
        await dayRows.add(caller, row, transaction);
      });
      changes.publish(caller, { noun: 'days', id: date });
      return rows(caller, date);
    },
  };
}
