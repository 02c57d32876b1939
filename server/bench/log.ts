import { logQuery, type LogQuery } from '@ratio/core/log';
import type { Database } from '../src/database/database.ts';
import { readLogPage } from '../src/database/logPage.ts';

const TIMES = 15;
const ASKED: readonly { name: string; query: Partial<LogQuery> }[] = [
  { name: 'the first page', query: {} },
  { name: 'page 20', query: { page: 20 } },
  { name: 'by strength', query: { sort: 'strength' } },
  { name: 'one coffee of forty', query: { coffee: 'Lot 7' } },
  { name: 'one grind, by coffee', query: { grind: 'medium', sort: 'coffee' } },
  { name: 'a word that one in a hundred has', query: { text: 'note7' } },
];

/** A log of so many batches, an hour apart, of forty coffees, two grinds and a hundred notes. */
async function fillLog(db: Database, count: number): Promise<void> {
  await db.sequelize
    .query(`WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ${count})
    INSERT INTO batches (shop_id, id, version, author, coffee_name, status, started_at, ends_at, strained_at, body)
    SELECT shop_id, 'many-' || i, 1, 'note' || (i % 100), 'Lot ' || (i % 40), 'strained',
      strftime('%Y-%m-%dT%H:00:00.000Z', '2010-01-01', '+' || i || ' hours'),
      strftime('%Y-%m-%dT%H:00:00.000Z', '2010-01-02', '+' || i || ' hours'),
      strftime('%Y-%m-%dT%H:00:00.000Z', '2010-01-02', '+' || i || ' hours'),
      json_set(body, '$.strengthFrac', 0.03 + (i % 3000) * 0.000001,
        '$.plan.grind', CASE i % 3 WHEN 0 THEN 'medium' ELSE 'coarse' END)
    FROM batches, n WHERE batches.id = 'lido-batch-1'`);
}

async function medianMs(db: Database, query: Partial<LogQuery>): Promise<number> {
  const { from: _, to: __, ...rest } = logQuery.parse(query);
  const times: number[] = [];
  for (let i = 0; i < TIMES; i++) {
    const began = performance.now();
    await readLogPage(db.sequelize, 'lido', { ...rest, fromAt: null, beforeAt: null });
    times.push(performance.now() - began);
  }
  return times.toSorted((a, b) => a - b)[Math.floor(TIMES / 2)]!;
}

/** @returns lines: pages of the log at a thousand batches and at a hundred thousand, and the growth */
export async function benchLog(
  inLido: <T>(work: (db: Database) => Promise<T>) => Promise<T>,
): Promise<string[]> {
  // One after the other: each has the machine to itself.
  const timesAt = (count: number): Promise<number[]> =>
    inLido(async (db) => {
      await fillLog(db, count);
      const found: number[] = [];
      for (const { query } of ASKED) found.push(await medianMs(db, query));
      return found;
    });
  const small = await timesAt(1000);
  const large = await timesAt(100_000);
  return [
    '| a page of the log, with its count | of 1,000, ms | of 100,000, ms | times as long |',
    '|---|---|---|---|',
    ...ASKED.map(
      ({ name }, i) =>
        `| ${name} | ${small[i]!.toFixed(1)} | ${large[i]!.toFixed(1)} | ${(large[i]! / small[i]!).toFixed(1)} |`,
    ),
  ];
}
