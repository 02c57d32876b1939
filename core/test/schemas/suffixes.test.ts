import { expect } from 'chai';
import { z } from 'zod';
import * as core from '../../src/index.ts';
import { CONSTANTS } from '../../src/constants.ts';
import { DOMAIN_ERRORS, DomainError } from '../../src/errors.ts';
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

const SCHEMAS = Object.entries(core as Record<string, unknown>).filter(
  (entry): entry is [string, z.ZodType] => entry[1] instanceof z.ZodType,
);

describe('schemas', () => {
  it('are all exported from the core', () => {
    expect(SCHEMAS.map(([name]) => name)).to.include.members([
      'reckonBatchRequest',
      'reckonDrinkResponse',
      'jugSchema',
    ]);
  });

  for (const [name, schema] of SCHEMAS)
    it(`${name}: every numeric key says its unit`, () => {
      const keys = numericKeys(z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }));
      expect(keys.filter((key) => !saysUnit(key))).to.deep.equal([]);
    });
});

describe('the table of constants', () => {
  for (const [name, constant] of Object.entries(CONSTANTS))
    it(`${name} has a source, a mark, and a range around its value`, () => {
      expect(constant.source).to.have.length.above(5);
      const { low, high } = { low: constant.value, high: constant.value, ...constant };
      expect(constant.value).to.be.within(low, high);
    });

  it('holds the soluble share that its parts give: 0.30 × 0.717', () => {
    const { maximumYieldFrac, partitionFrac, solubleFrac } = CONSTANTS;
    expect(solubleFrac.value).to.be.closeTo(maximumYieldFrac.value * partitionFrac.value, 2e-4);
  });
});

describe('DomainError', () => {
  for (const code of Object.keys(DOMAIN_ERRORS) as (keyof typeof DOMAIN_ERRORS)[])
    it(`${code} says what is wrong and how to mend it`, () => {
      const error = new DomainError(code, { name: 'doseG', value: 0 });
      expect(error.message).to.contain('doseG');
      expect(DOMAIN_ERRORS[code]).to.match(/\..+\.$/);
    });
});
