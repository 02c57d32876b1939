import { once } from 'node:events';
import type { Server } from 'node:http';
import { networkInterfaces } from 'node:os';
import { ROLES, mayDo, type Role } from '@ratio/core/shop';
import { expect } from 'chai';
import { mock } from 'node:test';
import { RIGHTS } from '../../src/people/rights.ts';
import { createPeopleService, type Origin } from '../../src/people/service.ts';
import { openLidoServer, type LidoServer } from '../lidoServer.ts';

const PIN: Readonly<Record<Role, string>> = { pours: '1111', brews: '2222', leads: '3333' };
const JSON_TYPE = { 'Content-Type': 'application/json' };

describe('people', () => {
  let server: LidoServer;
  let listening: Server;
  let port: number;
  beforeEach(async () => {
    server = await openLidoServer();
    listening = server.app.listen(0, '0.0.0.0');
    await once(listening, 'listening');
    port = (listening.address() as { port: number }).port;
  });
  afterEach(async () => {
    mock.timers.reset();
    listening.closeAllConnections();
    listening.close();
    await server.close();
  });

  interface Asking {
    readonly body?: object;
    readonly cookie?: string;
    readonly version?: number;
    readonly host?: string;
  }
  async function ask(method: string, path: string, asking: Asking = {}) {
    const { body, cookie, version, host = '127.0.0.1' } = asking;
    const answer = await fetch(`http://${host}:${port}${path}`, {
      method: method.toUpperCase(),
      headers: {
        ...(body ? JSON_TYPE : {}),
        ...(cookie ? { Cookie: cookie } : {}),
        ...(version === undefined ? {} : { 'If-Match': `"${version}"` }),
      },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    const cookies = answer.headers.getSetCookie();
    const said = (await answer.json().catch(() => null)) as never;
    return { status: answer.status, said, cookies, cookie: cookies[0]?.split(';')[0] };
  }
  const add = (role: Role, more: object = {}) =>
    ask('put', `/api/people/${role}`, {
      version: 0,
      body: { name: `Who ${role}`, role, pin: PIN[role], ...more },
    });
  const signIn = async (role: Role, asking: Asking = {}) =>
    (await ask('post', '/api/session', { body: { personId: role, pin: PIN[role] }, ...asking }))
      .cookie;
  const address = Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .find(({ family, internal }) => family === 'IPv4' && !internal)?.address;

  it('may do what their role lets them, at every endpoint, and nobody may anything unsigned', async () => {
    for (const role of ROLES) await add(role);
    await ask('put', '/api/access', { body: { signInHere: true } });
    const cookies = new Map<Role, string | undefined>();
    for (const role of ROLES) cookies.set(role, await signIn(role));
    const wrong: string[] = [];
    for (const [endpoint, right] of Object.entries(RIGHTS)) {
      if (endpoint === 'delete /api/session' || right === 'anyone') continue;
      const [method, template] = endpoint.split(' ') as [string, string];
      const path = template.replaceAll(/\{\w+\}/g, 'nothing');
      const body = ['post', 'put'].includes(method) ? { body: {} } : {};
      const unsigned = await ask(method, path, body);
      if (unsigned.status !== 401) wrong.push(`${endpoint} unsigned: ${unsigned.status}`);
      for (const role of ROLES) {
        const cookie = cookies.get(role)!;
        // An empty body gets no further than being refused for itself: nothing is done.
        const { status, said } = await ask(method, path, { ...body, cookie });
        const isRefused = status === 403 && (said as { code: string }).code === 'not_allowed';
        if (isRefused === mayDo(role, right)) wrong.push(`${endpoint} by ${role}: ${status}`);
      }
    }
    expect(wrong).to.deep.equal([]);
  }).timeout(90_000);

  it('have a line for every endpoint of the description', async () => {
    const { said } = await ask('get', '/api/openapi.json');
    const { paths } = said as { paths: Record<string, object> };
    const described = Object.entries(paths).flatMap(([path, methods]) =>
      Object.keys(methods).map((method) => `${method} ${path}`),
    );
    expect(Object.keys(RIGHTS).toSorted()).to.deep.equal(described.toSorted());
  });

  it('read first what each address answers them, and unsigned who they are alone', async () => {
    for (const role of ROLES) await add(role);
    await ask('put', '/api/access', { body: { signInHere: true } });
    for (const role of ROLES) {
      const cookie = (await signIn(role))!;
      const { said } = await ask('get', '/api/start', { cookie });
      const { after, ...all } = said as Record<string, unknown>;
      expect(after).to.be.a('string');
      const answers = Object.entries(all);
      expect(answers).to.have.length(12);
      for (const [path, answer] of answers)
        expect(answer, path).to.deep.equal((await ask('get', path, { cookie })).said);
    }
    const { said } = await ask('get', '/api/start');
    expect(Object.keys(said)).to.deep.equal(['after', '/api/session']);
  });

  it('change the usual of a drink only where they brew; what somebody asks for at the bar anybody notes', async () => {
    for (const role of ROLES) await add(role);
    const { said } = await ask('get', '/api/drinks');
    const {
      id,
      version: _,
      ...drink
    } = (said as { id: string; version: number }[]).find((one) => one.id === 'lido-black')!;
    const keep = async (forWhom: string) => {
      const body = { id: `kept-${forWhom}`.replace(' ', '-'), drink, change: 'none', forWhom };
      const cookie = (await signIn('pours'))!;
      return (await ask('post', `/api/drinks/${id}/versions`, { body, cookie })).status;
    };
    expect(await keep('')).to.equal(403);
    expect(await keep('this once')).to.equal(201);
  });

  it('change a jug’s strength only where they brew, and prices only where they lead', async () => {
    for (const role of ROLES) await add(role);
    const entries = '/api/jugs/lido-jug-1/entries';
    const enter = async (role: Role, body: object) =>
      (await ask('post', entries, { body, cookie: (await signIn(role))! })).status;
    expect(await enter('pours', { id: 'p1', kind: 'poured', massG: 10 })).to.equal(201);
    for (const [kind, more] of [
      ['read', { strengthFrac: 0.03 }],
      ['watered', { massG: 10 }],
      ['blended', { fromJugId: 'lido-jug-2', massG: 10 }],
    ] as const) {
      expect(await enter('pours', { id: `x-${kind}`, kind, ...more })).to.equal(403);
      expect(await enter('brews', { id: `y-${kind}`, kind, ...more })).to.equal(201);
    }
    const all = (await ask('get', entries)).said as { author: string; id: string }[];
    expect(all.find(({ id }) => id === 'p1')!.author).to.equal('Who pours');
    expect(all.find(({ id }) => id === 'y-read')!.author).to.equal('Who brews');

    const [coffee] = (await ask('get', '/api/coffees')).said as {
      id: string;
      version: number;
      pricePerKg: number;
    }[];
    const { id, version, ...body } = coffee!;
    const save = async (role: Role, over: object, seen: number) =>
      (
        await ask('put', `/api/coffees/${id}`, {
          body: { ...body, ...over },
          version: seen,
          cookie: (await signIn(role))!,
        })
      ).status;
    expect(await save('brews', { pricePerKg: 1 }, version)).to.equal(403);
    expect(await save('brews', { name: 'Renamed' }, version)).to.equal(200);
    expect(await save('leads', { pricePerKg: 1 }, version + 1)).to.equal(200);
  }).timeout(90_000);

  it('sign in by a PIN on this machine, by a password from elsewhere, and out again', async function () {
    if (!address) this.skip();
    await add('leads', { password: 'long enough for a lead' });
    const host = address;
    expect((await ask('get', '/api/jugs', { host })).status).to.equal(401);
    expect((await ask('get', '/api/health', { host })).status).to.equal(200);
    const { said } = await ask('get', '/api/session', { host });
    expect(said).to.deep.include({ needsSignIn: true, people: [], role: 'pours' });
    // A PIN is for tablets of the shop.
    const byPin = { personId: 'leads', pin: '3333' };
    expect((await ask('post', '/api/session', { host, body: byPin })).status).to.equal(403);
    const secret = { name: 'who LEADS', password: 'long enough for a lead' };
    const signedIn = await ask('post', '/api/session', { host, body: secret });
    expect(signedIn.cookies[0]).to.match(/HttpOnly; SameSite=Strict/);
    expect(signedIn.said).to.deep.include({ name: 'Who leads', role: 'leads' });
    const { cookie } = signedIn;
    expect((await ask('get', '/api/backups', { host, cookie: cookie! })).status).to.equal(200);
    await ask('delete', '/api/session', { host, cookie: cookie! });
    expect((await ask('get', '/api/jugs', { host, cookie: cookie! })).status).to.equal(401);
    const forged = 'ratio_session=forged; ratio_device=forged';
    expect((await ask('get', '/api/jugs', { host, cookie: forged })).status).to.equal(401);
  }).timeout(90_000);

  it('pair a tablet once, by a code that expires; forgotten, it is nobody again', async function () {
    if (!address) this.skip();
    const host = address;
    const { said } = await ask('post', '/api/pairing', { body: { role: 'pours' } });
    const { code, links } = said as { code: string; links: string[] };
    expect(links.join(' ')).to.contain(`http://${host}`).and.to.contain(code);
    const body = { code: code.toLowerCase(), device: 'Bar tablet' };
    const paired = await ask('post', '/api/session/pair', { host, body });
    expect(paired.said).to.deep.include({
      needsSignIn: false,
      device: 'Bar tablet',
      role: 'pours',
    });
    const cookie = paired.cookie!;
    expect((await ask('get', '/api/jugs', { host, cookie })).status).to.equal(200);
    expect((await ask('post', '/api/session/pair', { host, body })).status).to.equal(403);
    // Somebody signs in on it by a PIN, and may more.
    await add('brews');
    const person = await signIn('brews', { host, cookie });
    const both = `${cookie}; ${person}`;
    expect((await ask('get', '/api/session', { host, cookie: both })).said).to.include({
      name: 'Who brews',
    });
    const [device] = (await ask('get', '/api/devices')).said as { id: string; version: number }[];
    await ask('delete', `/api/devices/${device!.id}`, { version: device!.version });
    expect((await ask('get', '/api/jugs', { host, cookie })).status).to.equal(401);
  }).timeout(90_000);

  it('keep somebody who can lead, once the machine asks too', async () => {
    expect((await ask('put', '/api/access', { body: { signInHere: true } })).status).to.equal(409);
    await add('leads');
    expect((await ask('put', '/api/access', { body: { signInHere: true } })).status).to.equal(200);
    expect((await ask('get', '/api/jugs')).status).to.equal(401);
    const cookie = (await signIn('leads'))!;
    const gone = await ask('delete', '/api/people/leads', { cookie, version: 1 });
    expect(gone.status).to.equal(409);
    const lesser = { name: 'Who leads', role: 'pours' };
    expect(
      (await ask('put', '/api/people/leads', { cookie, version: 1, body: lesser })).status,
    ).to.equal(409);
  });

  it('wait after five wrong tries, also where they arrive together; no secret is ever read back', async () => {
    mock.timers.enable({ apis: ['Date'], now: Date.now() });
    let nowMs = Date.now();
    const people = createPeopleService({
      db: server.db,
      shopId: 'lido',
      port: () => 1,
      now: () => nowMs,
    });
    await add('leads');
    const here: Origin = { isLocal: true, sessionToken: null, deviceToken: null };
    const tryPin = (pin: string) =>
      people.signIn(here, { personId: 'leads', pin }).then(
        () => 'in',
        ({ code }: { code: string }) => code,
      );
    const tries = await Promise.all(Array.from({ length: 12 }, () => tryPin('0000')));
    expect(tries.filter((said) => said === 'wrong_secret')).to.have.length(5);
    expect(await tryPin('3333')).to.equal('too_many');
    mock.timers.tick(60_001);
    expect(await tryPin('3333')).to.equal('in');
    expect(await server.db.sessions.list('lido')).to.have.length(1);
    // Twelve hours later that session is over; it goes when somebody signs in again.
    nowMs += 12 * 3_600_000;
    expect(await tryPin('3333')).to.equal('in');
    expect(await server.db.sessions.list('lido')).to.have.length(1);
    const [person] = (await ask('get', '/api/people')).said as object[];
    expect(JSON.stringify(person)).not.to.match(/scrypt|3333/);
    const [row] = await server.db.sequelize.query('SELECT body FROM people');
    expect(JSON.stringify(row)).to.contain('scrypt:').and.not.to.contain('3333');
  }).timeout(90_000);
});
