import { GRIND_NAMES } from '@ratio/core/coffee';
import { LOG_SORTS, type LogQuery } from '@ratio/core/log';
import type { LocationQuery } from 'vue-router';
import { addressReader, oneOf } from '../format/index.ts';

/** What the log is asked for where its address says nothing. */
export const EVERY_BATCH: LogQuery = {
  text: '',
  coffee: '',
  grind: '',
  from: '',
  to: '',
  sort: 'date',
  order: 'desc',
  page: 1,
};
const ORDERS: readonly LogQuery['order'][] = ['asc', 'desc'];
const isDate = (text: string): boolean =>
  /^\d{4}-\d\d-\d\d$/.test(text) && !Number.isNaN(Date.parse(text));

/**
 * The log as an address asks for it, so that a view can be kept and sent.
 *
 * @returns what is asked for, and what of the address cannot be: that is as it usually is
 */
export function readLogAddress(address: LocationQuery): {
  query: LogQuery;
  wrong: readonly string[];
} {
  const { said, wrong } = addressReader(address);
  const words = (most: number) => (text: string) => (text.length <= most ? text : undefined);
  const date = (text: string): string | undefined => (isDate(text) ? text : undefined);
  const page = (text: string): string | undefined =>
    /^[1-9]\d{0,4}$/.test(text) ? text : undefined;
  const query: LogQuery = {
    text: said('text', words(200), ''),
    coffee: said('coffee', words(80), ''),
    grind: said<LogQuery['grind']>('grind', oneOf(GRIND_NAMES), ''),
    from: said('from', date, ''),
    to: said('to', date, ''),
    sort: said('sort', oneOf(LOG_SORTS), EVERY_BATCH.sort),
    order: said('order', oneOf(ORDERS), EVERY_BATCH.order),
    page: Number(said('page', page, '1')),
  };
  return { query, wrong };
}

/** @returns what an address has to say of it: what is not as it usually is */
export const logAddress = (query: LogQuery): Record<string, string> =>
  Object.fromEntries(
    Object.entries(query)
      .filter(([key, value]) => value !== EVERY_BATCH[key as keyof LogQuery])
      .map(([key, value]) => [key, String(value)]),
  );
