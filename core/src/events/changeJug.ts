import { isEqual } from '../document/isEqual.ts';
import type { StoredJug } from '../jug/ledgerSchema.ts';
import type { JugEntryRequest } from '../jug/schema.ts';
import { blendRows } from './blend.ts';
import { correctRows } from './correct.ts';
import { decided, refuse, REPEATED, type Decision, type EventContext } from './decision.ts';
import { jugIn } from './found.ts';
import { momentOf } from './moment.ts';
import { jugAt } from './onGrounds.ts';
import { ownRows } from './ownEntry.ts';
import type { EventRows, EventState } from './state.ts';
import { undoRows } from './undo.ts';

/** What needs a jug of its own: a batch on its grounds is strained first. */
const NOT_ON_GROUNDS: readonly JugEntryRequest['kind'][] = ['read', 'watered', 'blended'];

/**
 * Something is done to a jug: it is poured from, read, thinned, blended, counted or discarded, or an earlier
 * entry is undone or corrected. Repeated with the same content it counts once.
 */
export const changeJug = (
  state: EventState,
  input: { readonly jugId: string; readonly request: JugEntryRequest },
  context: EventContext,
): Decision => decided(state, () => changeRows(state, input, context));

function changeRows(
  state: EventState,
  { jugId, request }: { jugId: string; request: JugEntryRequest },
  context: EventContext,
): EventRows {
  const stored = jugIn(state, jugId);
  const before = state.entries.find(({ id }) => id === request.id);
  if (before) {
    if (before.jugId === jugId && isEqual(before.request, request)) return REPEATED;
    refuse(
      'already_exists',
      'Something else was done under this id. Send what is new under an id of its own.',
    );
  }
  if (stored.onGrounds && NOT_ON_GROUNDS.includes(request.kind))
    refuse('not_possible_now', 'It steeps still: strain it into a jug first.');
  const jug = jugAt(state, stored, context.nowMs);
  const at = momentOf(request.at, context);
  switch (request.kind) {
    case 'undone':
      return undoRows({ state, jug, request, at });
    case 'corrected':
      return correctRows({ state, jug, request, at });
    case 'blended':
      return blendRows({ jug, from: sourceOf(state, jug, request.fromJugId), request, at });
    default:
      return ownRows({ jug, request, at });
  }
}

function sourceOf(state: EventState, jug: StoredJug, fromJugId: string): StoredJug {
  const from = state.jugs.get(fromJugId);
  if (!from || from.id === jug.id)
    return refuse('not_found', 'Blend from another jug that is on hand.');
  return from;
}
