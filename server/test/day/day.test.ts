import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import request from 'supertest';
import type { DayPours, DayRow } from '@ratio/core/day';
import { openLidoServer, type LidoServer } from '../lidoServer.ts';

const TODAY = '2026-06-13';

describe('days', () => {
  let server: LidoServer;
  beforeEach(async () => (server = await openLidoServer()));
  afterEach(() => server.close());
  const add = (body: object, date = TODAY) =>
    request(server.app)
      .post(`/api/days/${date}/rows`)
      .send({ id: randomUUID(), ...body });
  const rows = async (date = TODAY): Promise<DayRow[]> =>
    (await request(server.app).get(`/api/days/${date}`).expect(200)).body;

  it('keep what was written down, in order, each by whom and when', async () => {
    await add({ kind: 'note', note: 'Mill was stiff on coarse.' }).expect(201);
    await add({ kind: 'checked', list: 'closing', item: 'Jugs covered' }).expect(201);
    const found = await rows();
    expect(found.map(({ kind }) => kind)).to.deep.equal(['note', 'checked']);
    expect(found[0]).to.include({ note: 'Mill was stiff on coarse.', author: 'unsigned' });
    expect(await rows('2026-06-10')).to.deep.equal([]);
  });

  it('count what is sent again once, and refuse other content under its identity', async () => {
    const note = { id: 'a-note', kind: 'note', note: 'Ice is low.' };
    await add(note).expect(201);
    await add(note).expect(201);
    expect(await rows()).to.have.length(1);
    await add({ ...note, note: 'Ice is not low.' }).expect(409);
    expect((await rows())[0]!.note).to.equal('Ice is low.');
  });

  it('take back what was a slip, and keep it readable', async () => {
    await add({ id: 'slip', kind: 'checked', list: 'opening', item: 'Fridge read' });
    await add({ kind: 'undone', undoes: 'slip' }).expect(201);
    expect((await rows()).map(({ undone }) => undone)).to.deep.equal([true, false]);
    await add({ kind: 'undone', undoes: 'slip' }, '2026-06-12').expect(404);
  });

  it('keep why something was thrown away, and what it had cost', async () => {
    const gone = { kind: 'thrown-away', item: 'Coconut drink', note: 'past its day', price: 1.2 };
    await add(gone).expect(201);
    expect((await rows())[0]).to.include({ item: 'Coconut drink', price: 1.2 });
    await add({ kind: 'thrown-away', item: 'Coconut drink', note: '' }).expect(400);
  });

  it('refuse a date that is none', async () => {
    await request(server.app).get('/api/days/13-06-2026').expect(400);
    await add({ kind: 'note', note: 'When?' }, '2026-02-31').expect(400);
  });

  it('tell what was poured, by quarters of the shop’s hours', async () => {
    const { body: jugs } = await request(server.app).get('/api/jugs');
    const before = (await request(server.app).get('/api/pours')).body as DayPours[];
    await request(server.app)
      .post(`/api/jugs/${jugs[0].id}/entries`)
      .send({ id: 'a-pour', kind: 'poured', massG: 118 })
      .expect(201);
    const after = (await request(server.app).get('/api/pours')).body as DayPours[];
    const at = (all: DayPours[]) =>
      all.find(({ date }) => date === TODAY)?.quarters.find(({ quarter }) => quarter === 30);
    // 07:40 at the lido is the thirty-first quarter of its day.
    expect(at(after)!.count - (at(before)?.count ?? 0)).to.equal(1);
    expect(at(after)!.massG - (at(before)?.massG ?? 0)).to.be.closeTo(118, 1e-9);
  });
});
