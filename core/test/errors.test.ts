import { expect } from 'chai';
import { DOMAIN_ERRORS, DomainError } from '../src/errors.ts';

describe('DomainError', () => {
  for (const code of Object.keys(DOMAIN_ERRORS) as (keyof typeof DOMAIN_ERRORS)[])
    it(`${code} says what is wrong and how to mend it`, () => {
      const error = new DomainError(code, { name: 'doseG', value: 0 });
      expect(error.message).to.contain('doseG');
      expect(DOMAIN_ERRORS[code]).to.match(/\..+\.$/);
    });
});
