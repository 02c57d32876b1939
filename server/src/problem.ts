import type { Problem } from '@ratio/core/document';
import { DomainError } from '@ratio/core/errors';
import type { z } from 'zod';
import { isSqliteError } from './database/writeTransaction.ts';

/** Every code of a problem, with its status and title. */
export const PROBLEMS = {
  bad_json: { status: 400, title: 'The body is not JSON' },
  bad_body: { status: 400, title: 'The body does not fit' },
  bad_request: { status: 400, title: 'The request cannot be read' },
  sign_in: { status: 401, title: 'Sign in first' },
  wrong_secret: { status: 403, title: 'Not right' },
  not_allowed: { status: 403, title: 'Not with this role' },
  wrong_origin: { status: 403, title: 'Not from another site' },
  not_found: { status: 404, title: 'There is no such thing' },
  method_not_allowed: { status: 405, title: 'Not with this method' },
  already_exists: { status: 409, title: 'It exists already' },
  not_possible_now: { status: 409, title: 'Not in the state that it is in' },
  stale: { status: 412, title: 'Somebody else changed it first' },
  body_too_large: { status: 413, title: 'The body is too large' },
  unsupported_media_type: { status: 415, title: 'Send JSON' },
  wrong_host: { status: 421, title: 'Not the name of this server' },
  bad_archive: { status: 422, title: 'The archive is not taken in' },
  unreadable: { status: 422, title: 'Something is missing in the recipe' },
  out_of_range: { status: 422, title: 'Outside of what the model holds for' },
  version_required: { status: 428, title: 'Say which version you saw' },
  disk_full: { status: 507, title: 'The disk is full' },
  too_many: { status: 429, title: 'Too many at once' },
  internal: { status: 500, title: 'Something went wrong here' },
} as const satisfies Record<string, { status: number; title: string }>;

export type ProblemCode = keyof typeof PROBLEMS;
type Issues = NonNullable<Problem['issues']>;

/** A failure that is answered with a problem document. */
export class ProblemError extends Error {
  override readonly name = 'ProblemError';
  readonly code: ProblemCode;
  readonly issues: Issues | undefined;
  /** The document as it is now, for a stale write. */
  readonly current: unknown;

  constructor(
    code: ProblemCode,
    detail: string,
    more: { issues?: Issues; current?: unknown } = {},
  ) {
    super(detail);
    this.code = code;
    this.issues = more.issues;
    this.current = more.current;
  }
}

/** @returns the RFC 9457 document of a problem */
export function problemDocument(error: ProblemError): Problem & { current?: unknown } {
  const { status, title } = PROBLEMS[error.code];
  return {
    type: `urn:ratio:problem:${error.code}`,
    title,
    status,
    detail: error.message,
    code: error.code,
    ...(error.issues === undefined ? {} : { issues: error.issues }),
    ...(error.current === undefined ? {} : { current: error.current }),
  };
}

/** @returns a schema's complaint as a problem that names each field */
export function bodyProblem(error: z.ZodError): ProblemError {
  const issues = flatten(error.issues)
    .slice(0, MOST_ISSUES)
    .map(({ path, message }) => ({
      path: shortened(path.map(String).join('.')),
      message: shortened(message),
    }));
  const first = issues[0];
  const where = first?.path ? `${first.path}: ` : '';
  return new ProblemError('bad_body', `${where}${first?.message ?? 'It does not fit.'}`, {
    issues,
  });
}

/** What is named of a body that fits nowhere: enough to mend it, and no longer than a page. */
const MOST_ISSUES = 50;
const shortened = (text: string): string => (text.length > 300 ? `${text.slice(0, 300)}…` : text);

type Issue = z.core.$ZodIssue;

// A failed union says only "invalid input": take the branch that came closest.
function flatten(issues: readonly Issue[], prefix: PropertyKey[] = []): Issue[] {
  return issues.flatMap((issue) => {
    const path = [...prefix, ...issue.path];
    if (issue.code === 'invalid_union' && issue.errors.length > 0) {
      const branches = issue.errors.map((branch) => flatten(branch, path));
      return branches.reduce((best, branch) => (nearness(branch) > nearness(best) ? branch : best));
    }
    if (issue.code === 'unrecognized_keys')
      return issue.keys.map((key) => ({
        ...issue,
        path: [...path, key],
        message: `Unknown key: ${key}`,
      }));
    return [{ ...issue, path }];
  });
}

// A branch whose keys are all known, though a value is wrong, is what was meant.
function nearness(branch: readonly Issue[]): number {
  const misfits = branch.filter(
    ({ code, message }) => code === 'unrecognized_keys' || /received undefined/.test(message),
  ).length;
  return -100 * misfits - branch.length;
}

/**
 * Makes a problem of whatever was thrown.
 *
 * @returns a problem to answer with; `internal` for an unexpected error
 */
export function toProblem(error: unknown): ProblemError {
  if (error instanceof ProblemError) return error;
  if (error instanceof DomainError) {
    const { name } = error.data;
    return new ProblemError('out_of_range', error.message, {
      issues: [{ path: String(name ?? ''), message: error.message }],
    });
  }
  if (isSqliteError(error, 'SQLITE_FULL'))
    return new ProblemError(
      'disk_full',
      'The disk of the machine that runs Ratio is full. Nothing was written; make room there, then try again.',
    );
  const { status, type } = error as { status?: number; type?: string };
  if (type === 'entity.parse.failed')
    return new ProblemError('bad_json', 'The body could not be read as JSON.');
  if (status === 413) return new ProblemError('body_too_large', 'Send at most 256 kB.');
  if (status === 415)
    return new ProblemError('unsupported_media_type', 'Send application/json in UTF-8.');
  if (status !== undefined && status >= 400 && status < 500)
    return new ProblemError('bad_request', 'The request could not be read.');
  return new ProblemError('internal', 'It is noted in the log. Try again.');
}
