import { dateSchema, dayPoursSchema, dayRowRequest, dayRowSchema } from '@ratio/core/day';
import { z } from 'zod';
import { endpoint, type Endpoint } from '../endpoint.ts';
import { ProblemError } from '../problem.ts';
import type { DayService } from './service.ts';

function dateOf(params: Readonly<Record<string, string>>): string {
  const parsed = dateSchema.safeParse(params['date']);
  if (parsed.success) return parsed.data;
  throw new ProblemError('bad_request', 'A day is written as 2026-06-13.');
}

/** Days: their pours and their notes. */
export const dayEndpoints = (days: DayService): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/pours',
    summary: 'What was poured on each of the last weeks’ days, by quarters of an hour',
    answer: z.array(dayPoursSchema),
    handle: ({ caller }) => days.pours(caller),
  }),
  endpoint({
    method: 'get',
    path: '/api/days/{date}',
    summary: 'What was written down of a day: notes, checks, what was thrown away',
    answer: z.array(dayRowSchema),
    isStored: true,
    handle: ({ caller, params }) => days.rows(caller, dateOf(params)),
  }),
  endpoint({
    method: 'post',
    path: '/api/days/{date}/rows',
    summary: 'Write something down of a day; sent again with the same id it counts once',
    body: dayRowRequest,
    answer: z.array(dayRowSchema),
    status: 201,
    handle: ({ caller, body, params }) => days.add(caller, { date: dateOf(params), request: body }),
  }),
];
