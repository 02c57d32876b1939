import { idSchema, instantSchema } from '@ratio/core/document';
import type { Transaction } from 'sequelize';
import express, { type Express, type Request, type Response } from 'express';
import type { Caller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import type { Row, Rows } from '../database/rows.ts';
import type { Right } from '../people/rights.ts';
import { ProblemError } from '../problem.ts';
import { strippedImage } from './strippedImage.ts';

/** As large as a photograph of a bench need be; a page makes it so. */
const MOST_BYTES = 700_000;
const MOST_OF_ONE = 30;

/** Photographs: recognized by content, stored in the database, served as images only. */
export function mountPhotos(
  app: Express,
  input: {
    db: Database;
    clock: Clock;
    changes: Changes;
    callerOf: (request: Request, right: Right) => Promise<Caller>;
  },
): void {
  const { db, clock, changes, callerOf } = input;
  const body = express.raw({ type: () => true, limit: MOST_BYTES });
  /** When it was taken: it may have waited for the server, and is of no later than now. */
  function takenAt(request: Request): string {
    const now = clock.now().toISOString();
    const at = instantSchema.optional().safeParse(request.query['at']);
    if (!at.success) throw new ProblemError('bad_request', 'at is an instant in ISO 8601.');
    return at.data !== undefined && Date.parse(at.data) < Date.parse(now) ? at.data : now;
  }

  app.put('/api/batches/:id/photos/:photoId', body, async (request, response) => {
    const caller = await callerOf(request, 'pours');
    const [batchId, id] = [idOf(request, 'id'), idOf(request, 'photoId')];
    const photo = imageOf(request);
    const row = { id, batchId, at: takenAt(request), ...photo };
    await db.write(async (transaction) => {
      await db.batches.get(caller.shopId, batchId, transaction);
      await keepOnce({ caller, rows: db.batchPhotos, of: 'batchId', row, transaction });
    });
    changes.publish(caller, { noun: 'batches', id: batchId });
    response.status(201).json({ id });
  });

  // The shop says by its table of steps which of them a step shows.
  app.put('/api/steps/:id/photos/:photoId', body, async (request, response) => {
    const caller = await callerOf(request, 'leads');
    const [stepKey, id] = [idOf(request, 'id'), idOf(request, 'photoId')];
    const photo = imageOf(request);
    const row = { id, stepKey, at: takenAt(request), ...photo };
    await db.write((transaction) =>
      keepOnce({ caller, rows: db.stepPhotos, of: 'stepKey', row, transaction }),
    );
    response.status(201).json({ id });
  });

  const serve = (photo: { type: string; data: string } | null, response: Response): void => {
    if (!photo) throw new ProblemError('not_found', 'There is no such photograph.');
    response
      .set('Content-Security-Policy', "default-src 'none'; sandbox")
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .type(photo.type)
      .send(Buffer.from(photo.data, 'base64'));
  };
  app.get('/api/photos/:id', async (request, response) => {
    const { shopId } = await callerOf(request, 'pours');
    serve(await db.batchPhotos.find(shopId, request.params.id), response);
  });
  app.get('/api/steps/photos/:id', async (request, response) => {
    const { shopId } = await callerOf(request, 'pours');
    serve(await db.stepPhotos.find(shopId, request.params.id), response);
  });
}

/** A repeated photograph is stored once; another one under the same identity is refused. */
async function keepOnce<R extends Row & { readonly data: string }>(input: {
  caller: Caller;
  rows: Rows<R>;
  /** Key of the batch or step that it shows. */
  of: keyof R & string;
  row: R;
  transaction: Transaction;
}): Promise<void> {
  const { caller, rows, of: key, row, transaction } = input;
  const before = await rows.find(caller.shopId, row.id, transaction);
  if (before?.[key] === row[key] && before.data === row.data) return;
  if (before) throw new ProblemError('already_exists', 'Another photograph has this id.');
  if ((await rows.briefly(caller.shopId, String(row[key]))).length >= MOST_OF_ONE)
    throw new ProblemError('too_many', `There are ${MOST_OF_ONE} photographs of it already.`);
  await rows.add(caller, row, transaction);
}

function idOf(request: Request, name: string): string {
  const parsed = idSchema.safeParse(request.params[name]);
  if (parsed.success) return parsed.data;
  throw new ProblemError('bad_request', 'An id has small letters, digits and dashes.');
}

function imageOf(request: Request): { type: string; data: string } {
  const image = Buffer.isBuffer(request.body) ? strippedImage(request.body) : null;
  if (image === null)
    throw new ProblemError(
      'unsupported_media_type',
      'This is no photograph that can be kept. JPEG, PNG or WebP can.',
    );
  return { type: image.type, data: image.bytes.toString('base64') };
}
