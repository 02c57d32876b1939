import type { Vessel } from '../brew/schema.ts';
import type { Learned } from '../brew/learnedSchema.ts';
import type { Coffee } from '../coffee/schema.ts';
import { DomainError } from '../errors.ts';
import type { Shop } from '../shop/schema.ts';
import { withRows, type EventRows, type EventState } from './state.ts';

/** The shop as a decision needs it, and the moment at which it is made. */
export interface EventContext {
  /** ms since 1970 UTC. */
  readonly nowMs: number;
  /** The latest instant that was ever written, where the clock was put back since; ms since 1970 UTC. */
  readonly latestMs?: number;
  readonly shop: Pick<Shop, 'zone' | 'clock' | 'steps' | 'roomC' | 'fridgeC'>;
  readonly vessels: readonly Vessel[];
  /** Those of the shelf and the usual ones. */
  readonly coffees: readonly Coffee[];
  /** What the shop's log has taught, and which version of it; null before it has. */
  readonly learned: { readonly learned: Learned; readonly version: number } | null;
}

export type RefusalCode =
  | 'bad_body'
  | 'not_found'
  | 'already_exists'
  | 'not_possible_now'
  | 'out_of_range'
  | 'stale'
  | 'version_required';

/** Why something cannot be done, and what to do instead. */
export interface Refusal {
  readonly status: 'refused';
  readonly code: RefusalCode;
  readonly detail: string;
  readonly issues?: readonly { readonly path: string; readonly message: string }[];
  /** The document as it is now, where another one was seen. */
  readonly current?: unknown;
}

/** What a request leads to: rows to write and the state after them, or a refusal. */
export type Decision =
  { readonly status: 'decided'; readonly rows: EventRows; readonly state: EventState } | Refusal;

class Refused extends Error {
  readonly refusal: Refusal;
  constructor(refusal: Refusal) {
    super(refusal.detail);
    this.refusal = refusal;
  }
}

/** Ends a decision: it is refused, and nothing is written. */
export function refuse(
  code: RefusalCode,
  detail: string,
  more: Pick<Refusal, 'issues' | 'current'> = {},
): never {
  throw new Refused({ status: 'refused', code, detail, ...more });
}

/**
 * Makes a decision of a function that returns rows or refuses. What lies outside of the model's range is
 * refused too.
 */
export function decided(state: EventState, rowsOf: () => EventRows): Decision {
  try {
    const rows = rowsOf();
    return { status: 'decided', rows, state: withRows(state, rows) };
  } catch (error) {
    if (error instanceof Refused) return error.refusal;
    if (!(error instanceof DomainError)) throw error;
    const path = String(error.data['name'] ?? '');
    return {
      status: 'refused',
      code: 'out_of_range',
      detail: error.message,
      issues: [{ path, message: error.message }],
    };
  }
}

/** Rows of a request that was decided before: a repeat writes nothing. */
export const REPEATED: EventRows = Object.freeze({});
