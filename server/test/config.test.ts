import { expect } from 'chai';
import { readConfig } from '../src/config.ts';

describe('readConfig', () => {
  it('works with nothing set, for this machine alone', () => {
    expect(readConfig({})).to.deep.equal({
      port: 4870,
      host: '127.0.0.1',
      names: [],
      dataDir: 'data',
      shopId: null,
      frozenAt: null,
      logLevel: 'info',
      tls: { by: 'off' },
    });
  });

  it('takes a port, a shop and a frozen clock', () => {
    const config = readConfig({
      RATIO_PORT: '5000',
      RATIO_HOST: '0.0.0.0',
      RATIO_SHOP: 'lido',
      RATIO_NAMES: 'ratio.lan, bar',
      RATIO_NOW: '2026-06-13T06:40:00Z',
    });
    expect(config.names).to.deep.equal(['ratio.lan', 'bar']);
    expect(config).to.include({ port: 5000, host: '0.0.0.0', shopId: 'lido' });
    expect(config.frozenAt?.toISOString()).to.equal('2026-06-13T06:40:00.000Z');
  });

  for (const [name, value] of [
    ['RATIO_PORT', 'coffee'],
    ['RATIO_PORT', '70000'],
    ['RATIO_SHOP', 'The Lido'],
    ['RATIO_NOW', 'yesterday'],
    ['RATIO_LOG', 'loud'],
    ['RATIO_NAMES', 'ratio.lan, http://ratio'],
    ['RATIO_TLS', 'yes'],
  ] as const)
    it(`names ${name} where it is “${value}”`, () => {
      expect(() => readConfig({ [name]: value })).to.throw(new RegExp(`^${name}: `));
    });

  it('takes a certificate with its key, and neither without the other', () => {
    const both = { RATIO_TLS_CERT: 'lido.crt', RATIO_TLS_KEY: 'lido.key' };
    expect(readConfig(both).tls).to.deep.equal({ by: 'files', cert: 'lido.crt', key: 'lido.key' });
    expect(() => readConfig({ RATIO_TLS_CERT: 'lido.crt' })).to.throw(/^RATIO_TLS_KEY: give both/);
    expect(() => readConfig({ RATIO_TLS_KEY: 'lido.key' })).to.throw(/^RATIO_TLS_CERT: give both/);
    expect(readConfig({ RATIO_TLS: 'own' }).tls).to.deep.equal({ by: 'own' });
  });
});
