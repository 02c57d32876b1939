import type { Batch } from '../batch/schema.ts';
import { vesselOf } from '../batch/start.ts';
import type { Vessel } from '../brew/schema.ts';
import type { Coffee } from '../coffee/schema.ts';
import type { Plan } from '../batch/schema.ts';
import type { StoredJug } from '../jug/ledgerSchema.ts';
import { refuse, type EventContext } from './decision.ts';
import type { EventState } from './state.ts';

const missing = (what: string, id: string): never =>
  refuse('not_found', `There is no ${what} “${id}”.`);

/** @returns the batch of an identity; refuses an unknown one */
export const batchIn = (state: EventState, id: string): Batch =>
  state.batches.get(id) ?? missing('batch', id);

/** @returns the jug of an identity; refuses an unknown one */
export const jugIn = (state: EventState, id: string): StoredJug =>
  state.jugs.get(id) ?? missing('jug', id);

/** @returns the vessel of an identity; refuses an unknown one */
export const vesselIn = ({ vessels }: EventContext, id: string): Vessel =>
  vessels.find((one) => one.id === id) ?? missing('vessel', id);

/** @returns the vessel of a plan, which may be any vessel; refuses an unknown one */
export const vesselOfPlan = ({ vessels }: EventContext, plan: Plan): Vessel =>
  vesselOf(plan, vessels) ?? missing('vessel', plan.vesselId);

/** @returns the coffee of an identity; refuses an unknown one */
export const coffeeIn = ({ coffees }: EventContext, id: string): Coffee =>
  coffees.find((one) => one.id === id) ?? missing('coffee', id);
