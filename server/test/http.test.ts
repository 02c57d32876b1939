import { expect } from 'chai';
import request from 'supertest';
import { PROBLEMS } from '../src/problem.ts';
import { openLidoServer, type LidoServer } from './lidoServer.ts';

describe('the server', () => {
  let server: LidoServer;
  before(async () => (server = await openLidoServer()));
  after(() => server.close());

  it('says that it is well', async () => {
    const { body } = await request(server.app).get('/api/health');
    expect(body).to.deep.equal({
      status: 'ok',
      version: '0.1.0',
      database: 'ok',
      disk: 'ok',
      unreadable: [],
    });
  });

  it('describes every endpoint, with the schemas that check requests', async () => {
    const { body } = await request(server.app).get('/api/openapi.json');
    expect(body.openapi).to.match(/^3\.1/);
    for (const path of [
      '/api/health',
      '/api/ingredients',
      '/api/predict/batch',
      '/api/predict/drink',
      '/api/openapi.json',
      '/api/batches',
      '/api/jugs/{id}/entries',
    ])
      expect(body.paths).to.have.property(path);
    const schema =
      body.paths['/api/predict/batch'].post.requestBody.content['application/json'].schema;
    expect(schema.required).to.include.members(['dose', 'water', 'grind', 'steep']);
    expect(schema.required).to.not.include('wetting');
    expect(schema.additionalProperties).to.equal(false);
  });

  const wrong: [
    name: string,
    code: keyof typeof PROBLEMS,
    send: (s: LidoServer) => request.Test,
  ][] = [
    [
      'broken JSON',
      'bad_json',
      ({ app }) => request(app).post('/api/predict/batch').type('json').send('{"dose":'),
    ],
    [
      'a body of 2 MB',
      'body_too_large',
      ({ app }) =>
        request(app)
          .post('/api/predict/batch')
          .send({ text: 'x'.repeat(2e6) }),
    ],
    [
      'a form',
      'unsupported_media_type',
      ({ app }) => request(app).post('/api/predict/batch').type('form').send('a=1'),
    ],
    ['no body', 'unsupported_media_type', ({ app }) => request(app).post('/api/predict/batch')],
    ['an array', 'bad_body', ({ app }) => request(app).post('/api/predict/batch').send([1])],
    ['an unknown path', 'not_found', ({ app }) => request(app).get('/api/teapots')],
    ['a wrong method', 'method_not_allowed', ({ app }) => request(app).delete('/api/batches')],
    [
      'a broken escape',
      'bad_request',
      ({ app }) => request(app).post('/api/jugs/%E0%A4%A/entries').send({}),
    ],
    [
      'an unknown charset',
      'unsupported_media_type',
      ({ app }) =>
        request(app)
          .post('/api/predict/batch')
          .set('Content-Type', 'application/json; charset=klingon')
          .send('{}'),
    ],
  ];
  for (const [name, code, send] of wrong)
    it(`answers ${name} with ${PROBLEMS[code].status}`, async () => {
      const { status, body, type } = await send(server);
      expect({ status, code: body.code, type }).to.deep.equal({
        status: PROBLEMS[code].status,
        code,
        type: 'application/problem+json',
      });
    });

  it('lets pages load nothing from elsewhere', async () => {
    const { headers } = await request(server.app).get('/api/health');
    expect(headers['content-security-policy'])
      .to.match(/default-src 'self'/)
      .and.not.match(/unsafe/);
  });
});
