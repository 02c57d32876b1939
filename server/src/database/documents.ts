import type { Model, ModelStatic, Transaction } from 'sequelize';
import { ProblemError } from '../problem.ts';
import type { DocumentRow } from './models.ts';

/** A document as it is sent: identity, version and body in one. */
export type Sent<T> = Omit<T, 'id' | 'version'> & { id: string; version: number };

/** @returns every document of a table */
export async function listDocuments<T>(
  model: ModelStatic<DocumentRow<T>>,
  transaction: Transaction | null = null,
): Promise<Sent<T>[]> {
  // Raw rows cost a quarter of instances; Sequelize leaves JSON in them as text.
  const rows = await model.findAll({ raw: true, transaction });
  return rows.map(({ id, version, body }) => ({
    ...(JSON.parse(body as unknown as string) as Omit<T, 'id' | 'version'>),
    id,
    version,
  }));
}

/**
 * One document's row.
 *
 * @throws {ProblemError} not_found, naming what is missing
 */
export async function findDocument<R extends Model>(
  model: ModelStatic<R>,
  input: { id: string; what: string; transaction: Transaction },
): Promise<R> {
  const { id, what, transaction } = input;
  const row = await model.findByPk(id, { transaction });
  if (row === null) throw new ProblemError('not_found', `There is no ${what} “${id}”.`);
  return row;
}
