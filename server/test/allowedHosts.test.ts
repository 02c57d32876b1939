import { networkInterfaces } from 'node:os';
import { expect } from 'chai';
import request from 'supertest';
import { openLidoServer, type LidoServer } from './lidoServer.ts';

describe('what another site tries', () => {
  let server: LidoServer;
  before(async () => (server = await openLidoServer({ names: ['ratio.lido.test'] })));
  after(() => server.close());

  const write = (headers: Record<string, string>) =>
    request(server.app)
      .post('/api/jugs/lido-jug-1/entries')
      .set(headers)
      .send({ id: crypto.randomUUID(), kind: 'poured', massG: 1 });
  const address = Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .find(({ family, internal }) => family === 'IPv4' && !internal)?.address;

  for (const host of [
    'localhost:4870',
    '127.0.0.1',
    '[::1]:4870',
    'RATIO.lido.test',
    'ratio.lido.test:4870',
    ...(address ? [`${address}:4870`] : []),
  ])
    it(`answers ${host}, and writes from its own pages`, async () => {
      expect((await write({ Host: host })).status).to.equal(201);
      const own = {
        Host: host,
        Origin: `http://${host.toLowerCase()}`,
        'Sec-Fetch-Site': 'same-origin',
      };
      expect((await write(own)).status).to.equal(201);
    });

  for (const host of [
    'evil.example',
    'evil.example:4870',
    '203.0.113.9',
    '',
    'localhost.evil.example',
  ])
    it(`refuses to be “${host}”, for reads too`, async () => {
      expect((await write({ Host: host })).body).to.include({ status: 421, code: 'wrong_host' });
      const read = await request(server.app).get('/api/jugs').set('Host', host);
      expect(read.status).to.equal(421);
    });

  for (const headers of [
    { Origin: 'http://evil.example' },
    { Origin: 'null' },
    { Origin: 'http://localhost:9999' },
    { 'Sec-Fetch-Site': 'cross-site' },
    { 'Sec-Fetch-Site': 'same-site' },
  ] as Record<string, string>[])
    it(`refuses to write for ${JSON.stringify(headers)}, and to tell it what changes`, async () => {
      const host = { Host: 'localhost:4870', ...headers };
      expect((await write(host)).body).to.include({ status: 403, code: 'wrong_origin' });
      const stream = await request(server.app).get('/api/changes').set(host);
      expect(stream.status).to.equal(403);
      // A link to a page from elsewhere still opens.
      expect((await request(server.app).get('/api/health').set(host)).status).to.equal(200);
    });

  it('opens only so many streams of changes for one tablet', async () => {
    const open: { abort: () => unknown }[] = [];
    const listening = server.app.listen(0);
    const { port } = listening.address() as { port: number };
    const ask = async () => {
      const control = new AbortController();
      open.push(control);
      return fetch(`http://127.0.0.1:${port}/api/changes`, { signal: control.signal });
    };
    const answers: Response[] = [];
    for (let i = 0; i < 60; i++) answers.push(await ask());
    const refused = answers.filter(({ status }) => status === 429);
    expect(answers[0]!.status).to.equal(200);
    expect(refused.length).to.be.above(10);
    expect(await refused[0]!.json()).to.include({ code: 'too_many' });
    for (const one of open) one.abort();
    // The server hears of it when its sockets close.
    let again = await ask();
    for (let i = 0; i < 40 && again.status === 429; i++) {
      await new Promise((resolve) => setTimeout(resolve, 50));
      again = await ask();
    }
    expect(again.status).to.equal(200);
    for (const one of open) one.abort();
    listening.closeAllConnections();
    listening.close();
  });
});
