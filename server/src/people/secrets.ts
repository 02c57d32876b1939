import { createHash, randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';

const derive = promisify<
  string,
  Buffer,
  number,
  { N: number; r: number; p: number; maxmem: number },
  Buffer
>(scrypt);
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 2 ** 20 };
const LENGTH = 32;

/** @returns the stored hash of a PIN or a password: scrypt with its salt (RFC 7914) */
export async function hashSecret(secret: string): Promise<string> {
  const salt = randomBytes(16);
  const key = await derive(secret, salt, LENGTH, COST);
  return `scrypt:${salt.toString('base64')}:${key.toString('base64')}`;
}

/** @returns whether a secret matches a hash; takes as long where there is no hash */
export async function verifySecret(secret: string, kept: string | null): Promise<boolean> {
  const [, salt, key] = (kept ?? 'scrypt:AAAA:').split(':');
  const derived = await derive(secret, Buffer.from(salt!, 'base64'), LENGTH, COST);
  const known = Buffer.from(key!, 'base64');
  return known.length === LENGTH && timingSafeEqual(derived, known);
}

/** A token that a browser keeps in a cookie; the database knows its digest alone. */
export const newToken = (): string => randomBytes(32).toString('base64url');
export const digestOf = (token: string): string =>
  createHash('sha256').update(token).digest('base64url');

// Without letters and digits that look alike from a distance.
const LETTERS = '23456789ABCDEFGHJKMNPQRSTUVWXYZ';
/** @returns a code that is read from another screen and typed */
export const newCode = (): string =>
  Array.from({ length: 8 }, () => LETTERS[randomInt(LETTERS.length)]).join('');
