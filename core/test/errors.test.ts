import { expect } from 'chai';
import { DOMAIN_ERRORS, DomainError, requireWithin } from '../src/errors.ts';

describe('DomainError', () => {
  for (const code of Object.keys(DOMAIN_ERRORS) as (keyof typeof DOMAIN_ERRORS)[])
    it(`${code} says what is wrong and how to mend it`, () => {
      const error = new DomainError(code, { name: 'doseG', value: 0 });
      expect(error.message).to.contain('doseG');
      expect(DOMAIN_ERRORS[code]).to.match(/\..+\.$/);
    });

  it('names what is wrong in words, with no braces or quotes', () => {
    const message = (data: Readonly<Record<string, unknown>>) =>
      new DomainError('out_of_range', data).message;
    expect(message({ name: 'doseG', value: 0, min: 5, max: 50_000 })).to.match(
      /\(doseG 0, from 5 to 50000\)$/,
    );
    expect(message({ name: 'draws', value: 0, min: 1 })).to.match(/\(draws 0, from 1\)$/);
    expect(message({ name: 'pours', length: 0 })).to.match(/\(pours, length 0\)$/);
    expect(message({ name: 'grind', value: 'dust' })).not.to.match(/[{}"]/);
  });
});

describe('requireWithin', () => {
  const check = (value: number) => () => requireWithin({ name: 'hours', value, min: 0, max: 168 });

  it('lets the ends of a range pass', () => {
    expect(check(0)).not.to.throw();
    expect(check(168)).not.to.throw();
  });

  for (const value of [-1e-9, 168.001, Number.NaN, Number.POSITIVE_INFINITY])
    it(`refuses ${value}, and names it`, () => {
      expect(check(value)).to.throw(DomainError, /hours/);
    });
});
