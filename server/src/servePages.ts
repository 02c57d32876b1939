import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import express, { type Express, type RequestHandler } from 'express';
import compressedAhead from 'express-static-gzip';
import { ProblemError } from './problem.ts';

/**
 * Serves the built pages: files that never change under their names, and for any other address the document,
 * with what the page at that address brings along.
 *
 * @param webDir where they were built to
 */
export function servePages(app: Express, webDir: string): void {
  app.use(
    '/assets',
    compressedAhead(path.join(webDir, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: { immutable: true, maxAge: '1y' },
    }),
  );
  const built = readBuilt(webDir, 'index.html');
  /** Answers with the document and what a page brings along, put together once. */
  function documentWith(head: string): RequestHandler {
    if (built === null)
      return () => {
        throw new ProblemError('not_found', 'The pages are not built yet: npm run build does it.');
      };
    const document = built.replace('<!-- the page’s own -->', () => head);
    const styles = ownStyles(document);
    return (_, response) => {
      const policy = response.get('Content-Security-Policy') ?? '';
      response
        .set('Content-Security-Policy', `${policy};style-src 'self' ${styles}`)
        .set('Cache-Control', 'no-cache')
        .type('html')
        .send(document);
    };
  }
  const bare = documentWith('');
  // By its own name a service worker asks for it, and serves it with the policy that came with it.
  app.get('/index.html', bare);
  app.use(express.static(webDir, { index: false }));
  for (const [page, head] of Object.entries(pageHeads(webDir))) app.get(page, documentWith(head));
  app.get('/{*path}', bare);
}

/** What the document of each page brings along, by its path as Express writes one; none where nothing is built. */
const pageHeads = (webDir: string): Record<string, string> =>
  JSON.parse(readBuilt(webDir, 'page-heads.json') ?? '{}') as Record<string, string>;

/** @returns null where nothing was built yet */
function readBuilt(webDir: string, name: string): string | null {
  const file = path.join(webDir, name);
  return existsSync(file) ? readFileSync(file, 'utf8') : null;
}

/**
 * The styles that a document brings along, as a content policy names them: those and no others.
 * Source: W3C, Content Security Policy Level 3, section 2.3.1, hash-source.
 */
const ownStyles = (document: string): string =>
  [...document.matchAll(/<style[^>]*>(.*?)<\/style>/gs)]
    .map(([, text = '']) => `'sha256-${createHash('sha256').update(text).digest('base64')}'`)
    .join(' ');
