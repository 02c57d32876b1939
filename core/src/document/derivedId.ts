import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/**
 * The identity of a row that comes with another one, for example the first ledger row of a jug. A repeated
 * request derives the same identity, so that nothing is written twice.
 *
 * @param id identity of the row that it comes with
 * @param role what the derived row is, for example `filled`
 * @returns 40 hexadecimal digits, a dash and the role
 */
export const derivedId = (id: string, role: string): string =>
  `${bytesToHex(sha256(utf8ToBytes(id))).slice(0, 40)}-${role}`;
