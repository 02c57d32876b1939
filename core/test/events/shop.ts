import type { Plan } from '../../src/batch/schema.ts';
import { usualCoffee } from '../../src/coffee/usual.ts';
import { decide, type EventContext, type ShopEvent } from '../../src/events/index.ts';
import { EMPTY_STATE, type EventState } from '../../src/events/state.ts';
import { usualPlan } from '../usualPlan.ts';

/** A shop with one coffee, a steeping jar and two jugs, at an instant. */
export const contextOf = (now: string): EventContext => ({
  nowMs: Date.parse(now),
  shop: { zone: 'Europe/Lisbon', clock: '24 h', steps: [], roomC: 22, fridgeC: 4 },
  vessels: [
    vessel('jar', 6000, 'steep'),
    vessel('jug-1', 2000, 'jug'),
    vessel('jug-2', 1500, 'jug'),
  ],
  coffees: [{ ...usualCoffee('usual-medium')!, id: 'lot-1', name: 'Lot 1', pricePerKg: 20 }],
  learned: null,
});

const vessel = (id: string, brimMl: number, use: 'steep' | 'jug') =>
  ({
    id,
    version: 1,
    name: id,
    brimMl,
    markMl: null,
    heightMm: 200,
    kind: 'jar',
    shaken: false,
    use,
  }) as unknown as EventContext['vessels'][number];

/** The state after an event that must not be refused. */
export function stateAfter(state: EventState, event: ShopEvent, context: EventContext): EventState {
  const decision = decide(state, event, context);
  if (decision.status === 'refused') throw new Error(decision.detail);
  return decision.state;
}

/** A state in which one batch, `b`, was started. */
export const startedState = (plan: Partial<Plan>, startedAt: string): EventState =>
  stateAfter(
    EMPTY_STATE,
    { kind: 'start', request: { id: 'b', plan: usualPlan(plan), startedAt } },
    contextOf(startedAt),
  );
