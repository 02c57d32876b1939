import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { fileURLToPath } from 'node:url';
import { setTimeout as wait } from 'node:timers/promises';
import { expect } from 'chai';
import request from 'supertest';
import type { Instrument, InstrumentState } from '@ratio/core/instruments';
import { isOwnNetwork } from '../../src/instruments/tcpDriver.ts';
import { openLidoServer, type LidoServer } from '../lidoServer.ts';

const STAND_IN = fileURLToPath(new URL('./standIn.mjs', import.meta.url));

describe('instruments', () => {
  let server: LidoServer;
  const children: ChildProcess[] = [];
  beforeEach(async () => (server = await openLidoServer()));
  afterEach(async () => {
    children.splice(0).forEach((child) => child.kill('SIGKILL'));
    await server.close();
  });

  const put = (id: string, body: object, version = 0) =>
    request(server.app)
      .put(`/api/instruments/${id}`)
      .set('If-Match', `"${version}"`)
      .send({
        name: id,
        kind: 'scale',
        place: null,
        batchId: null,
        calibration: null,
        ...body,
      });
  const states = async (): Promise<InstrumentState[]> =>
    (await request(server.app).get('/api/instruments/states')).body.filter(
      ({ instrumentId }: InstrumentState) => instrumentId === 'bench',
    );
  const act = (id: string, body: object) =>
    request(server.app).post(`/api/instruments/${id}/acts`).send(body);
  /** A device in a process of its own; @returns its port */
  async function device(manner: string): Promise<number> {
    const child = spawn(process.execPath, [STAND_IN, manner]);
    children.push(child);
    const [text] = (await once(child.stdout, 'data')) as [Buffer];
    return Number(String(text));
  }
  async function until(is: (state: InstrumentState) => boolean): Promise<InstrumentState> {
    for (const end = Date.now() + 5000; Date.now() < end; await wait(20)) {
      const [state] = await states();
      if (state && is(state)) return state;
    }
    throw new Error(`It stayed ${JSON.stringify(await states())}`);
  }
  const tcp = (portNumber: number, host = '127.0.0.1') => ({
    driver: { by: 'tcp', host, portNumber },
  });

  it('a device over TCP is read, calibrated and tared', async () => {
    const port = await device('scale');
    const stamp = { at: '2026-06-13T06:00:00.000Z', author: 'lead' };
    const calibration = { proportion: 1.01, plusG: 0, plusC: 0, plusBrix: 0, ...stamp };
    expect((await put('bench', { ...tcp(port), calibration })).status).to.equal(200);
    const { sample, state } = await until((one) => one.sample !== null);
    expect(state).to.equal('speaks');
    expect(sample).to.include({ massG: 505, isSteady: true });
    expect((await act('bench', { act: 'tare' })).status).to.equal(200);
    await until((one) => one.sample?.massG === 0);
  });

  it('malformed is counted, named, and between it what is understood is shown', async () => {
    await put('bench', tcp(await device('malformed')));
    const state = await until((one) => one.malformed > 5 && one.sample !== null);
    expect(state.sample!.massG).to.equal(42);
    expect(state.detail).to.match(/nobody understands/);
  });

  it('a flood leaves the server answering', async () => {
    await put('bench', tcp(await device('flood')));
    await until((one) => one.sample !== null);
    for (let i = 0; i < 5; i++)
      expect((await request(server.app).get('/api/health')).status).to.equal(200);
    // Of what it was sent it has kept one.
    expect((await states())[0]!.sample).to.have.property('massG');
  });

  it('a device that goes is called again', async () => {
    const port = await device('gone');
    await put('bench', tcp(port));
    expect((await until((one) => one.state === 'gone')).detail).to.match(/called again/);
    await until((one) => one.state === 'speaks');
  });

  it('one that nobody answers for says so, and asks nothing of other networks', async () => {
    await put('bench', tcp(9, '203.0.113.7'));
    const state = await until((one) => one.state === 'gone');
    expect(state.detail).to.match(/not of this network/);
    expect(
      ['10.1.2.3', '192.168.0.9', '127.0.0.1', '::1', 'fd00::1'].map(isOwnNetwork),
    ).not.to.include(false);
    expect(
      ['8.8.8.8', '203.0.113.7', '2001:db8::1', '172.32.0.1'].map(isOwnNetwork),
    ).not.to.include(true);
  });

  it('lines that a page reads from its serial port are taken as any others', async () => {
    await put('prb', { kind: 'probe', place: 'fridge', driver: { by: 'serial' } });
    const push = (id: string, lines: string[]) =>
      request(server.app).post(`/api/instruments/${id}/lines`).send({ lines });
    const { body } = await push('prb', ['hello', 'nonsense', 'temp 4.2']);
    expect(body.sample).to.include({ tempC: 4.2 });
    expect(body.malformed).to.equal(2);
    expect((await push('none', ['temp 4'])).status).to.equal(404);
    await put('bench', { driver: { by: 'simulated', seed: 1 } });
    expect((await push('bench', ['mass 4'])).status).to.equal(409);
  });

  it('a changed one is another one, and one that is taken away is silent', async () => {
    const port = await device('scale');
    await put('bench', tcp(port));
    await until((one) => one.sample !== null);
    const all = (await request(server.app).get('/api/instruments')).body as Instrument[];
    const bench = all.find(({ id }) => id === 'bench')!;
    await put('bench', { name: 'Other', driver: { by: 'serial' } }, bench.version);
    expect((await states())[0]).to.include({ state: 'connecting', sample: null });
    await request(server.app).delete('/api/instruments/bench').set('If-Match', '"2"');
    expect(await states()).to.deep.equal([]);
    expect((await act('bench', { act: 'tare' })).status).to.equal(404);
  });

  it('refuses what is no instrument', async () => {
    expect((await put('a', { driver: { by: 'tcp', host: '', portNumber: 1 } })).status).to.equal(
      400,
    );
    expect((await put('a', { kind: 'kettle', driver: { by: 'serial' } })).status).to.equal(400);
    expect((await put('a', { driver: { by: 'serial' }, calibration: {} })).status).to.equal(400);
  });
});
