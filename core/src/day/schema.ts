import { z } from 'zod';
import { authorSchema, idSchema, instantSchema } from '../document/schema.ts';
import { CHECK_LISTS } from './checkLists.ts';

/** A date of the shop's calendar, as 2026-06-13. */
export const dateSchema = z.iso.date();

/** What was poured on a day, by quarters of an hour of the wall clock that had pours. */
export const dayPoursSchema = z.object({
  date: dateSchema,
  quarters: z.array(
    z.object({
      /** 0 to 95 from midnight. */
      quarter: z.number().int().min(0).max(95),
      count: z.number(),
      massG: z.number(),
      /** Sum of the squares of each pour's mass. */
      squaresG2: z.number(),
    }),
  ),
});

/** What can be written down of a day. */
const DAY_ROW_KINDS = ['note', 'checked', 'thrown-away', 'undone'] as const;

const item = z.string().trim().min(1).max(120);
const note = z.string().trim().min(1, 'Say what.').max(500);

/** One thing written down of a day: a row that nothing overwrites. */
export const dayRowSchema = z.object({
  id: idSchema,
  /** The shop's date that it belongs to. */
  date: dateSchema,
  kind: z.enum(DAY_ROW_KINDS),
  at: instantSchema,
  author: authorSchema,
  /** Which list it is on; null for what is on none. */
  list: z.enum(CHECK_LISTS).nullable(),
  /** The line of the list, or what was thrown away. */
  item: z.string(),
  /** The note, or why it was thrown away. */
  note: z.string(),
  /** What it had cost, in the shop's money; null where nobody knows. */
  price: z.number().nullable(),
  /** The row that this one takes back. */
  undoes: idSchema.nullable(),
  undone: z.boolean(),
});

const seen = { id: idSchema, at: instantSchema.optional() };

/** Writing something down of a day; without a time it is of now. */
export const dayRowRequest = z.discriminatedUnion('kind', [
  z.strictObject({ ...seen, kind: z.literal('note'), note }),
  z.strictObject({ ...seen, kind: z.literal('checked'), list: z.enum(CHECK_LISTS), item }),
  z.strictObject({
    ...seen,
    kind: z.literal('thrown-away'),
    item,
    note,
    price: z.number().min(0).max(1e6).nullable().default(null),
  }),
  z.strictObject({ ...seen, kind: z.literal('undone'), undoes: idSchema }),
]);

export type DayPours = z.infer<typeof dayPoursSchema>;
export type DayRow = z.infer<typeof dayRowSchema>;
export type DayRowRequest = z.infer<typeof dayRowRequest>;
