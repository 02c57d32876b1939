import type { Batch, StartBatchRequest } from '../batch/schema.ts';
import { startedBatch } from '../batch/start.ts';
import { steepHoursOf } from '../batch/steepHours.ts';
import { vesselInUse } from '../batch/vesselInUse.ts';
import type { Vessel } from '../brew/schema.ts';
import { dayAndTime } from '../calendar/writeTime.ts';
import { isEqual } from '../document/isEqual.ts';
import { decided, refuse, REPEATED, type Decision, type EventContext } from './decision.ts';
import { coffeeIn, vesselOfPlan } from './found.ts';
import { momentOf } from './moment.ts';
import { fillOnGrounds } from './onGrounds.ts';
import type { EventRows, EventState } from './state.ts';

/** A steep starts. Repeated with the same plan it starts nothing twice. */
export const start = (
  state: EventState,
  request: StartBatchRequest,
  context: EventContext,
): Decision => decided(state, () => startRows(state, request, context));

function startRows(
  state: EventState,
  { id, plan, startedAt: at }: StartBatchRequest,
  context: EventContext,
): EventRows {
  const before = state.batches.get(id);
  if (before) {
    const isSameTime = at === undefined || Date.parse(at) === Date.parse(before.startedAt);
    if (isSameTime && isEqual(before.plan, plan)) return REPEATED;
    refuse(
      'already_exists',
      'A batch with this id was started with another plan, or at another time.',
    );
  }
  const startedAt = momentOf(at, context);
  const coffee = coffeeIn(context, plan.coffeeId);
  const vessel = vesselOfPlan(context, plan);
  const { batch, fit } = startedBatch({
    plan,
    coffee,
    vessel,
    startedAt: new Date(startedAt),
    known: context.learned,
  });
  if (fit.fit === 'overflows')
    refuse('out_of_range', `It does not go into ${vessel.name}.`, {
      issues: [{ path: 'plan.waterG', message: 'Take less water, or a larger vessel.' }],
    });
  requireFree({ state, plan, vessel, startedAt, context });
  const started: Batch = { id, version: 1, ...batch };
  return {
    batches: [started],
    startedDraftId: id,
    ...(plan.filtration.method === 'on-grounds' ? fillOnGrounds(started, { coffee, context }) : {}),
  };
}

/** A vessel holds one batch at a time; of any vessel there are always more. */
function requireFree(input: {
  state: EventState;
  plan: Batch['plan'];
  vessel: Vessel;
  startedAt: string;
  context: EventContext;
}): void {
  const { state, plan, vessel, startedAt, context } = input;
  const { shop, vessels, nowMs } = context;
  const steeping = [...state.batches.values()].filter(({ status }) => status === 'steeping');
  const inIt = vesselInUse({
    batches: steeping,
    vesselId: vessel.id,
    startMs: Date.parse(startedAt),
    hours: steepHoursOf(plan),
    nowMs,
  });
  if (!inIt) return;
  const free = vessels
    .filter(({ id, use }) => use !== 'jug' && !steeping.some((one) => one.plan.vesselId === id))
    .map(({ name }) => name);
  const until = dayAndTime({ atMs: Date.parse(inIt.endsAt), zone: shop.zone, clock: shop.clock });
  refuse(
    'not_possible_now',
    `${vessel.name} holds ${inIt.coffeeName} until ${until}. ${free.length > 0 ? `Free: ${free.join(', ')}.` : 'Strain it first.'}`,
    { issues: [{ path: 'plan.vesselId', message: `In use by batch ${inIt.id}.` }] },
  );
}
