import { expect } from 'chai';
import request from 'supertest';
import { openLidoServer, type LidoServer } from '../lidoServer.ts';

const old = (i: number, more: object = {}) => ({
  id: `old-${i}`,
  startedAt: new Date(Date.parse('2026-01-01T13:00:00Z') + i * 3_600_000).toISOString(),
  coffeeName: i % 2 === 0 ? 'Lot 9, dark' : 'Lot 2, gone since',
  doseG: 800,
  waterG: 4000,
  hours: 18,
  place: 'fridge',
  grind: 'coarse',
  strengthFrac: 0.034,
  brewG: 2400,
  note: `from the old book, ${i}`,
  ...more,
});

describe('an old log that is taken in', () => {
  let server: LidoServer;
  beforeEach(async () => (server = await openLidoServer()));
  afterEach(() => server.close());
  const send = (rows: readonly unknown[], type = 'application/x-ndjson') =>
    request(server.app)
      .post('/api/log/import')
      .set('Content-Type', type)
      .send(rows.map((row) => (typeof row === 'string' ? row : JSON.stringify(row))).join('\n'));
  const total = async (text = ''): Promise<number> =>
    (await request(server.app).get(`/api/log?text=${text}`)).body.total;
  const said = (text: string): Record<string, unknown>[] =>
    text
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line));

  it('stands in the log as what it was, says how far it is, and is taken in once', async () => {
    const rows = Array.from({ length: 120 }, (_, i) => old(i));
    const first = said((await send(rows).expect(200)).text);
    expect(first.at(-1)).to.deep.equal({ lines: 120, taken: 120, known: 0 });
    expect(first[0]).to.deep.equal({ lines: 50 });
    expect(await total('book')).to.equal(120);
    const again = said((await send(rows).expect(200)).text);
    expect(again.at(-1)).to.include({ taken: 0, known: 120 });
    const { body } = await request(server.app).get('/api/log?text=gone since');
    expect(body.rows[0]).to.include({ foundFrac: 0.034, brewG: 2400, grind: 'coarse' });
    expect(body.rows[0].predictedFrac).to.be.within(0.03, 0.04);
  });

  it('is taken in as a whole or not at all', async () => {
    const rows = Array.from({ length: 120 }, (_, i) => old(i, i === 110 ? { doseG: -3 } : {}));
    const lines = said((await send(rows).expect(200)).text);
    expect(lines.at(-1)!['problem']).to.match(/^Line 111, doseG/);
    expect(await total('book')).to.equal(0);
    const early = await send([old(1), '{ no json']);
    expect(early.status).to.equal(400);
    expect(await total('book')).to.equal(0);
  });

  it('is refused in another form', async () => {
    expect((await send([old(1)], 'text/csv')).status).to.equal(415);
  });
});
