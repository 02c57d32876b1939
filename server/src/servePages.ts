import { existsSync } from 'node:fs';
import path from 'node:path';
import express, { type Express } from 'express';
import compressedAhead from 'express-static-gzip';
import { ProblemError } from './problem.ts';

/**
 * Serves the built pages: files that never change under their names, and the document for any other address.
 *
 * @param webDir where they were built to
 */
export function servePages(app: Express, webDir: string): void {
  const document = path.join(webDir, 'index.html');
  app.use(
    '/assets',
    compressedAhead(path.join(webDir, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: { immutable: true, maxAge: '1y' },
    }),
  );
  app.use(express.static(webDir, { index: false }));
  app.get('/{*path}', (_, response) => {
    if (!existsSync(document))
      throw new ProblemError('not_found', 'The pages are not built yet: npm run build does it.');
    response.set('Cache-Control', 'no-cache').sendFile(document, { cacheControl: false });
  });
}
