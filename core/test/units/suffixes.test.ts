import { readdirSync } from 'node:fs';
import { expect } from 'chai';
import { z } from 'zod';
import { saysUnit } from '../../src/units/suffixes.ts';

/** Every numeric key inside a JSON schema. */
function numericKeys(node: unknown): string[] {
  if (typeof node !== 'object' || node === null) return [];
  const { properties, ...rest } = node as { properties?: Record<string, { type?: string }> };
  const own = Object.entries(properties ?? {}).flatMap(([key, child]) => [
    ...(child.type === 'number' || child.type === 'integer' ? [key] : []),
    ...numericKeys(child),
  ]);
  return [...own, ...Object.values(rest).flatMap(numericKeys)];
}

const SRC = new URL('../../src/', import.meta.url);
const files = readdirSync(SRC, { recursive: true, encoding: 'utf8' }).filter((file) =>
  /schema\.ts$/i.test(file),
);
const modules = await Promise.all(
  files.map((file) => import(new URL(file, SRC).href) as Promise<Record<string, unknown>>),
);
const SCHEMAS = modules
  .flatMap((module) => Object.entries(module))
  .filter((entry): entry is [string, z.ZodType] => entry[1] instanceof z.ZodType);

describe('schemas', () => {
  it('are all found: every room’s', () => {
    expect(SCHEMAS.map(([name]) => name)).to.include.members([
      'predictBatchRequest',
      'predictDrinkResponse',
      'jugSchema',
    ]);
  });

  for (const [name, schema] of SCHEMAS)
    it(`${name}: every numeric key says its unit`, () => {
      const keys = numericKeys(z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }));
      expect(keys.filter((key) => !saysUnit(key))).to.deep.equal([]);
    });
});

describe('saysUnit', () => {
  for (const key of ['massG', 'brewMl', 'strengthFrac', 'caffeineMgPerG', 'hours', 'ratio'])
    it(`knows ${key}`, () => {
      expect(saysUnit(key)).to.equal(true);
    });
  for (const key of ['mass', 'volume', 'temperature', 'Ml'])
    it(`misses a unit in ${key}`, () => {
      expect(saysUnit(key)).to.equal(false);
    });
});
