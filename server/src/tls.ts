import { X509Certificate } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdir, readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { generate } from 'selfsigned';
import type { Tls } from './config.ts';
import { machineAddresses } from './machineAddresses.ts';
import { StartError } from './startError.ts';

/** What HTTPS is spoken with. */
export interface TlsFiles {
  readonly cert: string;
  readonly key: string;
  /** The shop's own authority, for tablets to trust; null where the certificate was given. */
  readonly authority: string | null;
}

const DAY_MS = 86_400_000;
const AUTHORITY_DAYS = 3650;
/** Browsers refuse a certificate that holds longer. */
const CERT_DAYS = 397;
const RENEW_DAYS = 30;

/**
 * The certificate to speak HTTPS with: the one that is given, or one that is made for this machine's names
 * and addresses by an authority of the shop's own, and made again before it runs out.
 *
 * @returns null where HTTPS is off
 * @throws {StartError} where a given file cannot be read
 */
export async function tlsFiles(input: {
  tls: Tls;
  dataDir: string;
  names: readonly string[];
}): Promise<TlsFiles | null> {
  const { tls, dataDir, names } = input;
  if (tls.by !== 'files')
    return tls.by === 'own' ? ownFiles(path.join(dataDir, 'tls'), names) : null;
  const read = (variable: string, file: string): Promise<string> =>
    readFile(file, 'utf8').catch((error: NodeJS.ErrnoException) => {
      throw new StartError(`${variable}: ${file} cannot be read (${error.code}).`);
    });
  const [cert, key] = [
    await read('RATIO_TLS_CERT', tls.cert),
    await read('RATIO_TLS_KEY', tls.key),
  ];
  return { cert, key, authority: null };
}

async function ownFiles(dir: string, names: readonly string[]): Promise<TlsFiles> {
  const file = (name: string): string => path.join(dir, name);
  await mkdir(dir, { recursive: true, mode: 0o700 });
  if (!existsSync(file('authority.crt'))) {
    const made = await generate([{ name: 'commonName', value: 'Ratio shop authority' }], {
      keyType: 'ec',
      algorithm: 'sha256',
      notAfterDate: new Date(Date.now() + AUTHORITY_DAYS * DAY_MS),
      extensions: [
        { name: 'basicConstraints', cA: true, critical: true },
        { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
      ],
    });
    // The key first: an authority without it would never be made again.
    await writeFile(file('authority.key'), made.private, { mode: 0o600 });
    await writeFile(file('authority.crt'), made.cert);
  }
  const authority = await readFile(file('authority.crt'), 'utf8');
  const wanted = subjects(names);
  if (!(await isGood(file('server.crt'), wanted))) {
    const made = await generate([{ name: 'commonName', value: 'Ratio' }], {
      keyType: 'ec',
      algorithm: 'sha256',
      notAfterDate: new Date(Date.now() + CERT_DAYS * DAY_MS),
      ca: { key: await readFile(file('authority.key'), 'utf8'), cert: authority },
      extensions: [
        { name: 'basicConstraints', cA: false },
        { name: 'extKeyUsage', serverAuth: true },
        { name: 'subjectAltName', altNames: wanted.map(altName) },
      ],
    });
    await writeFile(file('server.key'), made.private, { mode: 0o600 });
    await writeFile(file('server.crt'), made.cert);
  }
  const [cert, key] = await Promise.all(
    ['server.crt', 'server.key'].map((name) => readFile(file(name), 'utf8')),
  );
  return { cert: `${cert!}\n${authority}`, key: key!, authority };
}

/** What the machine is called now, sorted: the certificate is for these. */
function subjects(names: readonly string[]): string[] {
  const addresses = machineAddresses()
    .filter(({ family }) => family === 'IPv4')
    .map(({ address }) => address);
  return [...new Set(['localhost', ...names, ...addresses])].toSorted();
}

const isAddress = (subject: string): boolean => /^\d+\.\d+\.\d+\.\d+$/.test(subject);
const altName = (subject: string) =>
  isAddress(subject) ? { type: 7 as const, ip: subject } : { type: 2 as const, value: subject };

async function isGood(file: string, wanted: readonly string[]): Promise<boolean> {
  if (!existsSync(file)) return false;
  const cert = new X509Certificate(await readFile(file));
  const holds = Date.parse(cert.validTo) - Date.now() > RENEW_DAYS * DAY_MS;
  const names = cert.subjectAltName ?? '';
  return holds && wanted.every((subject) => names.includes(`:${subject}`));
}
