import { NOTHING_NOTED } from '@ratio/core/batch';
import { expect } from 'chai';
import { openLidoServer, type LidoServer } from '../lidoServer.ts';

const LIDO = { shopId: 'lido', author: 'unsigned' };
const PIER = { shopId: 'pier', author: 'mara' };
const stir = (id: string, at = '2026-06-13T07:00:00.000Z') => ({
  id,
  batchId: 'a-batch',
  kind: 'agitated' as const,
  at,
  ...NOTHING_NOTED,
});

describe('createRows', () => {
  let server: LidoServer;
  before(async () => (server = await openLidoServer()));
  after(() => server.close());
  const add = (caller: typeof LIDO, row: ReturnType<typeof stir>) =>
    server.db.write((transaction) => server.db.observations.add(caller, row, transaction));

  it('keeps rows in the order of writing, with their author, whatever time they tell', async () => {
    await add(LIDO, stir('late', '2026-06-13T09:00:00.000Z'));
    await add({ ...LIDO, author: 'mara' }, stir('early'));
    const rows = await server.db.observations.about('lido', 'a-batch');
    expect(rows.map(({ id }) => id)).to.deep.equal(['late', 'early']);
    expect(rows.map(({ author }) => author)).to.deep.equal(['unsigned', 'mara']);
  });

  it('refuses the same row a second time, and keeps the first', async () => {
    await add(LIDO, stir('once'));
    const again = await add(LIDO, { ...stir('once'), note: 'twice' }).catch(
      (error: { problem: { code: string } }) => error.problem?.code ?? String(error),
    );
    expect(String(again)).to.match(/already_exists|done already/);
    expect(await server.db.observations.find('lido', 'once')).to.include({ note: '' });
  });

  it('shows a shop nothing of another', async () => {
    await add(PIER, stir('theirs'));
    await add(PIER, stir('once'));
    expect(await server.db.observations.find('lido', 'theirs')).to.equal(null);
    expect(await server.db.observations.about('pier', 'a-batch')).to.have.length(2);
  });
});
