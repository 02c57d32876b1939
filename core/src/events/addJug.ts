import { isEqual } from '../document/isEqual.ts';
import { madeElsewhere } from '../jug/madeElsewhere.ts';
import type { NewJugRequest } from '../jug/schema.ts';
import { massOfStoredG } from '../matter/properties.ts';
import { decided, refuse, REPEATED, type Decision, type EventContext } from './decision.ts';
import { filledJug } from './filledJug.ts';
import { coffeeIn } from './found.ts';
import { freeVessels } from './freeVessels.ts';
import { momentOf } from './moment.ts';
import type { EventRows, EventState } from './state.ts';

/** A jug is added that was filled elsewhere. Repeated with the same content it is added once. */
export const addJug = (
  state: EventState,
  request: NewJugRequest,
  context: EventContext,
): Decision => decided(state, () => addJugRows(state, request, context));

function addJugRows(state: EventState, request: NewJugRequest, context: EventContext): EventRows {
  const { id, coffeeId, vesselId, label, onHandG, onHandMl = 0, capacityMl } = request;
  const before = state.jugs.get(id);
  if (before) {
    if (isEqual(before.request, request)) return REPEATED;
    refuse('already_exists', 'A jug with this id exists.');
  }
  const coffee = coffeeId === undefined ? undefined : coffeeIn(context, coffeeId);
  const { range, ...known } = madeElsewhere({ ...request, ...context.shop, coffee });
  const { strengthFrac } = known;
  const massG = onHandG ?? massOfStoredG({ volumeMl: onHandMl, strengthFrac });
  const into = freeVessels({ state, context }).take({
    vesselId,
    massG,
    strengthFrac,
    path: 'onHandG',
    capacityMl,
  });
  return filledJug({
    id,
    massG,
    request,
    context,
    jug: {
      ...known,
      filledRange: range,
      label,
      coffeeName: coffee?.name ?? '',
      batchId: null,
      onGrounds: false,
      vesselId: into.vesselId,
      capacityMl: into.capacityMl,
      pricePerKg: null,
      madeAt: momentOf(request.madeAt, context),
    },
  });
}
