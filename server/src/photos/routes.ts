import { idSchema } from '@ratio/core/document';
import express, { type Express, type Request } from 'express';
import type { Caller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { ProblemError } from '../problem.ts';
import { strippedImage } from './strippedImage.ts';

/** As large as a photograph of a bench need be; a page makes it so. */
const MOST_BYTES = 700_000;
const MOST_OF_ONE = 30;

/** Photographs of a batch: taken in by what they are, kept in the database, served as images and nothing else. */
export function mountPhotos(
  app: Express,
  of: {
    db: Database;
    clock: Clock;
    changes: Changes;
    callerOf: (request: Request) => Promise<Caller>;
  },
): void {
  const { db, clock, changes, callerOf } = of;

  app.put(
    '/api/batches/:id/photos/:photoId',
    express.raw({ type: () => true, limit: MOST_BYTES }),
    async (request, response) => {
      const caller = await callerOf(request);
      const [batchId, id] = [request.params['id'], request.params['photoId']].map((part) => {
        const parsed = idSchema.safeParse(part);
        if (parsed.success) return parsed.data;
        throw new ProblemError('bad_request', 'An id has small letters, digits and dashes.');
      }) as [string, string];
      const image = Buffer.isBuffer(request.body) ? strippedImage(request.body) : null;
      if (image === null)
        throw new ProblemError(
          'unsupported_media_type',
          'This is no photograph that can be kept. JPEG, PNG or WebP can.',
        );
      const { shopId } = caller;
      await db.write(async (transaction) => {
        await db.batches.get(shopId, batchId, transaction);
        const data = image.bytes.toString('base64');
        const before = await db.batchPhotos.find(shopId, id, transaction);
        if (before?.batchId === batchId && before.data === data) return;
        if (before) throw new ProblemError('already_exists', 'Another photograph has this id.');
        if ((await db.batchPhotos.briefly(shopId, batchId)).length >= MOST_OF_ONE)
          throw new ProblemError('too_many', `A batch has ${MOST_OF_ONE} photographs at most.`);
        const at = clock.now().toISOString();
        await db.batchPhotos.add(caller, { id, batchId, at, type: image.type, data }, transaction);
      });
      changes.publish(caller, { noun: 'batches', id: batchId });
      response.status(201).json({ id });
    },
  );

  app.get('/api/photos/:id', async (request, response) => {
    const { shopId } = await callerOf(request);
    const photo = await db.batchPhotos.find(shopId, String(request.params['id']));
    if (!photo) throw new ProblemError('not_found', 'There is no such photograph.');
    response
      .set('Content-Security-Policy', "default-src 'none'; sandbox")
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .type(photo.type)
      .send(Buffer.from(photo.data, 'base64'));
  });
}
