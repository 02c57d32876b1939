import type { Batch } from '../batch/schema.ts';
import { vesselInUse } from '../batch/vesselInUse.ts';
import type { Vessel } from '../brew/schema.ts';
import { slurryMl, vesselFit } from '../brew/vessel.ts';
import { refuse, type EventContext } from './decision.ts';
import { vesselIn } from './found.ts';
import type { EventState } from './state.ts';

const HOUR_MS = 3_600_000;
/** A batch that is due now is taken to steep on for this long. */
const LEAST_HOURS = 0.1;

/**
 * The vessel that a share of a running batch goes into. Refuses one that is in use, one that is too small,
 * and a batch that does not steep any more.
 *
 * @param input.shareFrac above 0, up to 1: the whole batch is moved
 */
export function requireGoesInto(input: {
  state: EventState;
  batch: Batch;
  vesselId: string;
  shareFrac: number;
  context: EventContext;
}): Vessel {
  const { state, batch, vesselId, shareFrac, context } = input;
  const { nowMs } = context;
  if (batch.status !== 'steeping') refuse('not_possible_now', 'It does not steep any more.');
  const vessel = vesselIn(context, vesselId);
  const { fit } = vesselFit({
    slurryMl: shareFrac * slurryMl({ ...batch.plan, tempC: batch.plan.waterC }),
    vesselMl: vessel.brimMl,
    shaken: false,
  });
  if (fit === 'overflows')
    refuse('out_of_range', `It does not go into ${vessel.name}.`, {
      issues: [{ path: 'vesselId', message: 'Take a larger vessel.' }],
    });
  const all = [...state.batches.values()];
  const inIt = vesselInUse({
    // A batch may be moved back into its own vessel, but not be split into it.
    batches: shareFrac < 1 ? all : all.filter(({ id }) => id !== batch.id),
    vesselId: vessel.id,
    startMs: nowMs,
    hours: Math.max(LEAST_HOURS, (Date.parse(batch.endsAt) - nowMs) / HOUR_MS),
    nowMs,
  });
  if (inIt)
    refuse('not_possible_now', `${vessel.name} holds ${inIt.coffeeName}.`, {
      issues: [{ path: 'vesselId', message: `In use by batch ${inIt.id}.` }],
    });
  return vessel;
}
