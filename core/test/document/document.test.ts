import { createHash } from 'node:crypto';
import { expect } from 'chai';
import { derivedId, isEqual } from '../../src/document/index.ts';

describe('derivedId', () => {
  for (const id of ['b', 'lido-batch-1', 'é'])
    it(`hashes “${id}” as Node does`, () => {
      // Reference: SHA-256 of node:crypto (FIPS 180-4).
      const digest = createHash('sha256').update(id).digest('hex');
      expect(derivedId(id, 'filled')).to.equal(`${digest.slice(0, 40)}-filled`);
    });
});

describe('isEqual', () => {
  const cases = [
    {
      name: 'another order of keys, inside a list too',
      one: [{ a: 1, b: 2 }],
      other: [{ b: 2, a: 1 }],
      same: true,
    },
    { name: 'a key that is undefined', one: { a: 1, b: undefined }, other: { a: 1 }, same: true },
    { name: 'null and undefined', one: { a: null }, other: { a: undefined }, same: false },
    { name: 'another order in a list', one: [1, 2], other: [2, 1], same: false },
    {
      name: 'another value deep inside',
      one: { a: { b: [{ c: 1 }] } },
      other: { a: { b: [{ c: 2 }] } },
      same: false,
    },
  ];
  for (const { name, one, other, same } of cases)
    it(`${same ? 'overlooks' : 'sees'} ${name}`, () => {
      expect(isEqual(one, other)).to.equal(same);
    });
});
