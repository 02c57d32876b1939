import { LOG_PAGE, type LogQuery, type LogRow } from '@ratio/core/log';
import { QueryTypes, type Sequelize } from 'sequelize';

/** By what each sort is ordered: as the index has it, so that no page is sorted anew. */
const ORDERS: Readonly<Record<LogQuery['sort'], string>> = {
  date: 'started_at',
  coffee: 'coffee_name',
  strength: "json_extract(body, '$.strengthFrac')",
  grind: "json_extract(body, '$.plan.grind')",
  vessel: "json_extract(body, '$.vesselName')",
};

/** What is asked of the log, its dates as instants. */
export type LogFilter = Omit<LogQuery, 'from' | 'to'> & {
  readonly fromAt: string | null;
  readonly beforeAt: string | null;
};

/** The conditions of a filter, and their values. */
function conditionsOf(shopId: string, filter: LogFilter) {
  const { text, coffee, grind, fromAt, beforeAt } = filter;
  const conditions = ['shop_id = :shopId'];
  const values: Record<string, string | number> = { shopId };
  const add = (condition: string, name: string, value: string): void => {
    conditions.push(condition);
    values[name] = value;
  };
  if (coffee !== '') add('coffee_name = :coffee', 'coffee', coffee);
  if (grind !== '') add("json_extract(body, '$.plan.grind') = :grind", 'grind', grind);
  if (fromAt !== null) add('started_at >= :fromAt', 'fromAt', fromAt);
  if (beforeAt !== null) add('started_at < :beforeAt', 'beforeAt', beforeAt);
  const words = text
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .map((word) => `"${word}"*`);
  // CROSS JOIN: the words first, then their lines. The other way about each line asks for all words.
  if (words.length > 0)
    add(
      `id IN (SELECT w.batch_id FROM log_search s CROSS JOIN log_words w ON w.seq = s.rowid
        WHERE log_search MATCH :words AND +w.shop_id = :shopId)`,
      'words',
      words.join(' '),
    );
  return { where: conditions.join(' AND '), values };
}

/** @returns the query of a page, its values beside it */
export function logPageSql(shopId: string, filter: LogFilter, most = LOG_PAGE) {
  const { where, values } = conditionsOf(shopId, filter);
  const direction = filter.order === 'asc' ? 'ASC' : 'DESC';
  const order = ORDERS[filter.sort];
  return {
    sql: `SELECT id, author, coffee_name, status, started_at, strained_at, body FROM batches
      WHERE ${where} ORDER BY ${order} ${direction}, rowid ${direction}
      LIMIT ${most} OFFSET :offset`,
    count: `SELECT count(*) AS total FROM batches WHERE ${where}`,
    values: { ...values, offset: (filter.page - 1) * LOG_PAGE },
  };
}

/** @returns one page of the log, and how many lines it has in all */
export async function readLogPage(
  sequelize: Sequelize,
  shopId: string,
  filter: LogFilter,
  most = LOG_PAGE,
): Promise<{ rows: LogRow[]; total: number }> {
  const { sql, count, values } = logPageSql(shopId, filter, most);
  const ask = { replacements: values, type: QueryTypes.SELECT } as const;
  const [rows, [all]] = await Promise.all([
    sequelize.query<StoredLine>(sql, ask),
    sequelize.query<{ total: number }>(count, ask),
  ]);
  return { rows: rows.map(lineOf), total: all?.total ?? 0 };
}

interface StoredLine {
  readonly id: string;
  readonly author: string;
  readonly coffee_name: string;
  readonly status: LogRow['status'];
  readonly started_at: string;
  readonly strained_at: string | null;
  readonly body: string;
}

function lineOf(row: StoredLine): LogRow {
  const {
    plan,
    predicted,
    predictedAtStrain,
    vesselName,
    pouredAt,
    strengthFrac,
    strengthBy,
    model,
    strain,
  } = JSON.parse(row.body);
  const expected = predictedAtStrain ?? predicted;
  const beganMs = Date.parse(pouredAt ?? row.started_at);
  const jugs: { massG?: number }[] = strain?.jugs ?? [];
  const weighed = jugs.every(({ massG }) => massG !== undefined) && jugs.length > 0;
  return {
    id: row.id,
    author: row.author,
    coffeeName: row.coffee_name,
    coffeeId: plan.coffeeId,
    vesselName,
    grind: plan.grind,
    doseG: plan.doseG,
    waterG: plan.waterG,
    method: plan.filtration.method,
    status: row.status,
    startedAt: row.started_at,
    strainedAt: row.strained_at,
    hours: row.strained_at ? (Date.parse(row.strained_at) - beganMs) / 3_600_000 : null,
    predictedFrac: expected.strengthFrac,
    lowFrac: expected.strengthLowFrac,
    highFrac: expected.strengthHighFrac,
    foundFrac: strengthBy === 'reading' ? strengthFrac : null,
    predictedBrewG: expected.brewG,
    brewG: weighed ? jugs.reduce((sum, { massG = 0 }) => sum + massG, 0) : null,
    model: model?.learned?.version ?? 0,
  };
}
