import type { NoteRequest, SplitBatchRequest, StartBatchRequest } from '../batch/schema.ts';
import type { JugEntryRequest, NewJugRequest } from '../jug/schema.ts';
import { addJug } from './addJug.ts';
import { changeJug } from './changeJug.ts';
import type { Decision, EventContext } from './decision.ts';
import { note } from './note.ts';
import { split } from './split.ts';
import { start } from './start.ts';
import type { EventState } from './state.ts';
import { strain, type StrainInput } from './strain.ts';

/** Everything that can happen to batches and jugs, as it is requested. */
export type ShopEvent =
  | { readonly kind: 'start'; readonly request: StartBatchRequest }
  | { readonly kind: 'note'; readonly batchId: string; readonly request: NoteRequest }
  | { readonly kind: 'split'; readonly batchId: string; readonly request: SplitBatchRequest }
  | ({ readonly kind: 'strain' } & StrainInput)
  | { readonly kind: 'add-jug'; readonly request: NewJugRequest }
  | { readonly kind: 'change-jug'; readonly jugId: string; readonly request: JugEntryRequest };

/** @returns what a request leads to: rows to write and the state after them, or a refusal */
export function decide(state: EventState, event: ShopEvent, context: EventContext): Decision {
  switch (event.kind) {
    case 'start':
      return start(state, event.request, context);
    case 'note':
      return note(state, event, context);
    case 'split':
      return split(state, event, context);
    case 'strain':
      return strain(state, event, context);
    case 'add-jug':
      return addJug(state, event.request, context);
    case 'change-jug':
      return changeJug(state, event, context);
  }
}
