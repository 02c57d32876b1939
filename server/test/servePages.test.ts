import { createHash } from 'node:crypto';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect } from 'chai';
import express, { type ErrorRequestHandler } from 'express';
import request from 'supertest';
import { servePages } from '../src/servePages.ts';

const STYLE = 'h1{font-size:2rem}';
const DOCUMENT = `<head><style data-files="/assets/common-1.css">${STYLE}</style><!-- the page’s own --></head>`;
const OWN = 'h2{color:$&}';
const PLAN = `<style>${OWN}</style><link rel="modulepreload" href="/assets/PlanPage-1.js">`;

describe('servePages', () => {
  let webDir: string;
  before(async () => {
    webDir = await mkdtemp(path.join(tmpdir(), 'ratio-pages-'));
    await writeFile(path.join(webDir, 'index.html'), DOCUMENT);
    await writeFile(
      path.join(webDir, 'page-heads.json'),
      JSON.stringify({ '/plan': PLAN, '/jugs/new': '<meta name="new">', '/jugs/:id': '' }),
    );
  });
  after(() => rm(webDir, { recursive: true }));
  const get = (address: string, dir = webDir) => {
    const app = express();
    app.use((_, response, next) => {
      response.set('Content-Security-Policy', "default-src 'self'");
      next();
    });
    servePages(app, dir);
    const answer: ErrorRequestHandler = (error: Error, _, response, __) =>
      void response.status(404).send(error.message);
    app.use(answer);
    return request(app).get(address);
  };

  it('brings along what its page needs', async () => {
    const plan = await get('/plan?from=bench');
    expect(plan.headers['cache-control']).to.equal('no-cache');
    expect(plan.text).to.contain(PLAN);
    expect((await get('/jugs/new')).text).to.contain('name="new"');
    for (const address of ['/jugs/of-june', '/nowhere', '/plan/other'])
      expect((await get(address)).text, address).to.match(/<\/style><\/head>$/);
  });

  it('allows the styles that the document brings along, and no others', async () => {
    const { headers } = await get('/plan');
    const hashes = [STYLE, OWN].map(
      (style) => `'sha256-${createHash('sha256').update(style).digest('base64')}'`,
    );
    expect(headers['content-security-policy']).to.equal(
      `default-src 'self';style-src 'self' ${hashes.join(' ')}`,
    );
  });

  it('says so of the document by its own name too: what keeps it for later keeps the policy', async () => {
    const { headers, text } = await get('/index.html');
    expect(text).to.contain(STYLE);
    expect(headers['content-security-policy']).to.contain("style-src 'self' 'sha256-");
  });

  it('is sent once: who has the document already gets none again', async () => {
    const { headers } = await get('/plan');
    expect((await get('/plan').set('If-None-Match', headers['etag']!)).status).to.equal(304);
    const other = await get('/nowhere').set('If-None-Match', headers['etag']!);
    expect(other.status).to.equal(200);
  });

  it('says so where nothing was built yet', async () => {
    const { text } = await get('/plan', path.join(webDir, 'nowhere'));
    expect(text).to.contain('not built yet');
  });
});
