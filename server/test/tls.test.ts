import { X509Certificate } from 'node:crypto';
import { readdir, readFile, stat, writeFile } from 'node:fs/promises';
import { get } from 'node:https';
import path from 'node:path';
import { expect } from 'chai';
import { tlsFiles } from '../src/tls.ts';
import { inFolder, startServer, stopServer } from './realServer.ts';

interface Answer {
  readonly status: number;
  readonly headers: Readonly<Record<string, unknown>>;
  readonly said: string;
}
const ask = (url: string, ca: string): Promise<Answer> =>
  new Promise((resolve, reject) => {
    get(url, { ca }, (answer) => {
      let said = '';
      answer.setEncoding('utf8').on('data', (text: string) => (said += text));
      answer.on('end', () =>
        resolve({ status: answer.statusCode!, headers: answer.headers, said }),
      );
    }).on('error', reject);
  });

describe('HTTPS', () => {
  it('is spoken with a certificate of the shop’s own, which a tablet that trusts it accepts', () =>
    inFolder(async (dataDir) => {
      const server = await startServer(dataDir, { RATIO_TLS: 'own' });
      const url = await server.url;
      expect(url).to.match(/^https:/);
      const ca = await readFile(path.join(dataDir, 'tls', 'authority.crt'), 'utf8');
      const health = await ask(`${url}/api/health`, ca);
      expect(health.status).to.equal(200);
      expect(health.headers).to.include({ 'cross-origin-opener-policy': 'same-origin' });
      expect(health.headers).not.to.have.property('strict-transport-security');
      expect((await ask(`${url}/trust/ratio.crt`, ca)).said.trim()).to.equal(ca.trim());
      const stranger = await ask(`${url}/api/health`, '').catch((error: Error) => error.message);
      expect(stranger).to.match(/certificate/);
      for (const name of await readdir(path.join(dataDir, 'tls')))
        expect((await stat(path.join(dataDir, 'tls', name))).mode & 0o077, name).to.equal(0);
      await stopServer(server);
    })).timeout(90_000);

  it('keeps its certificate, and makes another where the machine is called something else', () =>
    inFolder(async (dataDir) => {
      const make = async (...names: string[]) =>
        (await tlsFiles({ tls: { by: 'own' }, dataDir, names }))!;
      const first = await make();
      expect((await make()).cert).to.equal(first.cert);
      const named = await make('ratio.lido.test');
      expect(named.cert).not.to.equal(first.cert);
      expect(named.authority).to.equal(first.authority);
      const cert = new X509Certificate(named.cert);
      expect(cert.checkHost('ratio.lido.test')).to.equal('ratio.lido.test');
      expect(cert.verify(new X509Certificate(first.authority!).publicKey)).to.equal(true);
    })).timeout(90_000);

  it('is spoken with the certificate that is given, or says that it cannot be read', () =>
    inFolder(async (dataDir) => {
      const own = (await tlsFiles({ tls: { by: 'own' }, dataDir, names: [] }))!;
      const [cert, key] = [path.join(dataDir, 'lido.crt'), path.join(dataDir, 'lido.key')];
      await writeFile(cert, own.cert);
      await writeFile(key, own.key);
      const server = await startServer(dataDir, { RATIO_TLS_CERT: cert, RATIO_TLS_KEY: key });
      const health = await ask(`${await server.url}/api/health`, own.authority!);
      expect(health.headers).to.have.property('strict-transport-security');
      await stopServer(server);
      const gone = await startServer(dataDir, { RATIO_TLS_CERT: '/nowhere', RATIO_TLS_KEY: key });
      expect(await gone.ended).to.equal(1);
      expect(gone.said()).to.match(
        /^Ratio cannot start\. RATIO_TLS_CERT: \/nowhere cannot be read/,
      );
    })).timeout(90_000);
});
