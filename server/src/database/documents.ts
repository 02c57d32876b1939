import type { Model, ModelStatic, Transaction } from 'sequelize';
import type { WriteTransaction } from './writeTransaction.ts';
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

/**
 * Writes a document that somebody saw in a version, or makes a new one.
 *
 * @param input.seenVersion version that the writer saw; 0 where there was none
 * @returns the document as it is now
 * @throws {ProblemError} version_required without a version; stale, with the current document, where
 *   somebody else wrote first
 */
export async function saveDocument<T>(input: {
  write: WriteTransaction;
  model: ModelStatic<DocumentRow<T>>;
  id: string;
  seenVersion: number | null;
  body: Omit<T, 'id' | 'version'>;
}): Promise<Sent<T>> {
  return input.write((transaction) => saveDocumentIn({ ...input, transaction }));
}

/** The same inside a transaction that writes more than this document. */
export async function saveDocumentIn<T>(input: {
  transaction: Transaction;
  model: ModelStatic<DocumentRow<T>>;
  id: string;
  seenVersion: number | null;
  body: Omit<T, 'id' | 'version'>;
}): Promise<Sent<T>> {
  const { transaction, model, id, seenVersion, body } = input;
  const row = await seenRow({ transaction, model, id, seenVersion });
  const version = (row?.version ?? 0) + 1;
  if (row) await row.update({ body, version } as Partial<DocumentRow<T>>, { transaction });
  else await model.create({ id, version, body } as never, { transaction });
  return { ...body, id, version };
}

/**
 * Takes a document away that somebody saw in a version.
 *
 * @throws {ProblemError} version_required, stale, not_found
 */
export async function removeDocument<T>(input: {
  transaction: Transaction;
  model: ModelStatic<DocumentRow<T>>;
  id: string;
  seenVersion: number | null;
}): Promise<void> {
  const row = await seenRow(input);
  if (!row) throw new ProblemError('not_found', 'It is gone already.');
  await row.destroy({ transaction: input.transaction });
}

/** The row of a document, as long as it is still what the writer saw; null for a new one. */
async function seenRow<T>(input: {
  transaction: Transaction;
  model: ModelStatic<DocumentRow<T>>;
  id: string;
  seenVersion: number | null;
}): Promise<DocumentRow<T> | null> {
  const { transaction, model, id, seenVersion } = input;
  if (seenVersion === null)
    throw new ProblemError(
      'version_required',
      'Send the version that you saw as If-Match, 0 for a new one.',
    );
  const row = await model.findByPk(id, { transaction });
  const current = row ? { ...row.body, id, version: row.version } : null;
  if (seenVersion !== (current?.version ?? 0))
    throw new ProblemError('stale', 'Somebody else changed this first. Keep one of the two.', {
      current,
    });
  return row;
}
