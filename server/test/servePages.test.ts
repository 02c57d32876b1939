import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { expect } from 'chai';
import express, { type ErrorRequestHandler } from 'express';
import request from 'supertest';
import { servePages } from '../src/servePages.ts';

const DOCUMENT = '<head><title>Ratio</title></head>';
const SCRIPT = 'export const one = 1;';

describe('servePages', () => {
  let webDir: string;
  before(async () => {
    webDir = await mkdtemp(path.join(tmpdir(), 'ratio-pages-'));
    await mkdir(path.join(webDir, 'assets'));
    await writeFile(path.join(webDir, 'index.html'), DOCUMENT);
    await writeFile(path.join(webDir, 'manifest.json'), '{}');
    await writeFile(path.join(webDir, 'assets/kit-1.js'), SCRIPT);
    await writeFile(path.join(webDir, 'assets/kit-1.js.gz'), gzipSync(SCRIPT));
  });
  after(() => rm(webDir, { recursive: true }));
  const get = (address: string, dir = webDir) => {
    const app = express();
    servePages(app, dir);
    const answer: ErrorRequestHandler = (error: Error, _, response, __) =>
      void response.status(404).send(error.message);
    app.use(answer);
    return request(app).get(address);
  };

  it('answers every address of a page with the document, which is asked for again each time', async () => {
    for (const address of ['/plan?from=bench', '/jugs/of-june', '/nowhere', '/index.html'])
      expect((await get(address)).text, address).to.equal(DOCUMENT);
    expect((await get('/plan')).headers['cache-control']).to.equal('no-cache');
  });

  it('is sent once: who has the document already gets none again', async () => {
    const { headers } = await get('/plan');
    expect((await get('/plan').set('If-None-Match', headers['etag']!)).status).to.equal(304);
  });

  it('sends files that were compressed by the build, to be kept for a year', async () => {
    const { headers, text } = await get('/assets/kit-1.js').set('Accept-Encoding', 'gzip');
    expect(text).to.equal(SCRIPT);
    expect(headers['content-encoding']).to.equal('gzip');
    expect(headers['cache-control']).to.equal('public, max-age=31536000, immutable');
  });

  it('says so where nothing was built yet', async () => {
    const { text } = await get('/plan', path.join(webDir, 'nowhere'));
    expect(text).to.contain('not built yet');
  });
});
