/** What can go wrong in the arithmetic, one entry per code: what happened and how to mend it. */
export const DOMAIN_ERRORS = {
  not_finite: 'A number is missing or not finite. Give a plain number.',
  out_of_range: 'A number lies outside the range in which the model holds. Give one inside it.',
  unknown_name: 'A name is not in its table. Use one that the table lists.',
  no_bracket: 'The equation does not change sign between the two ends. Widen the interval.',
} as const;

export type DomainErrorCode = keyof typeof DOMAIN_ERRORS;

/** Misuse of the core: an argument outside the domain of an equation. `data` names it. */
export class DomainError extends Error {
  override readonly name = 'DomainError';
  readonly code: DomainErrorCode;
  readonly data: Readonly<Record<string, unknown>>;

  constructor(code: DomainErrorCode, data: Readonly<Record<string, unknown>>) {
    super(`${DOMAIN_ERRORS[code]} (${detailText(data)})`);
    this.code = code;
    this.data = data;
  }
}

/** @returns "doseG 0, from 5 to 10" */
function detailText({ name, min, max, ...rest }: Readonly<Record<string, unknown>>): string {
  const { value, ...others } = rest;
  const of = [name, value].filter((part) => part !== undefined).map(String);
  const from = min === undefined ? '' : `from ${String(min)}`;
  const to = max === undefined ? '' : `to ${String(max)}`;
  const between = `${from} ${to}`.trim();
  const more = Object.entries(others).map(([key, of]) => `${key} ${String(of)}`);
  return [of.join(' '), between, ...more].filter(Boolean).join(', ');
}

/**
 * Checks that a number is finite and inside a closed range.
 *
 * @param input.name what the number is called, for the error
 * @throws {DomainError} not_finite, out_of_range
 */
export function requireWithin(input: {
  name: string;
  value: number;
  min: number;
  max: number;
}): void {
  const { name, value, min, max } = input;
  if (!Number.isFinite(value)) throw new DomainError('not_finite', { name, value });
  if (value < min || value > max) throw new DomainError('out_of_range', { name, value, min, max });
}
